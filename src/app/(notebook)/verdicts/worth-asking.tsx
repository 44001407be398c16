import { questionsAfter } from "@/core/ask/questions";
import { sayQuestion } from "@/core/say/verdicts/questions";
import { readBook } from "@/app/book";
import { Questions } from "./questions";

/** The questions whose answers would most change the verdicts, after the last trip. */
export async function WorthAsking({ byDigits = false }: { byDigits?: boolean }) {
  const { book, kit } = await readBook();
  return (
    <Questions
      byDigits={byDigits}
      questions={questionsAfter(kit).map((question) => ({
        id: question.id,
        words: sayQuestion(question, book.item(question.item)!, book),
        answers: question.answers.map(({ word }) => word),
      }))}
    />
  );
}
