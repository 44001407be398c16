import type { Review } from "@/core/say/walk/review";
import { inMarkdown } from "./markdown";

/** What a trip came to, as Markdown: prose, and a table of what was along. */
export const reviewAsMarkdown = ({ title, about, parts, rows }: Review): string =>
  [
    `# ${inMarkdown(title)}`,
    "",
    inMarkdown(about),
    ...parts.flatMap(({ head, sentences }) => [
      "",
      `## ${head}`,
      "",
      ...sentences.map((each) => `- ${inMarkdown(each)}`),
    ]),
    "",
    "| thing | weight | used | what was said | next |",
    "| --- | ---: | --- | --- | --- |",
    ...rows.map(
      ({ name, weight, use, said, next }) =>
        `| ${[name, weight, use, said, next].map(inMarkdown).join(" | ")} |`,
    ),
    "",
  ].join("\n");
