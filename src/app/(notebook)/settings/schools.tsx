import { Suspense, use } from "react";
import { tell } from "@/ui/notice/notice";
import type { SchoolName } from "@/core/model";
import { SCHOOLS, type School } from "@/core/trade/schools";
import { percent } from "@/core/units/speak";

type Effects = Promise<Readonly<Record<SchoolName, string>>>;

interface SchoolsProps {
  readonly chosen: SchoolName;
  readonly effects: Effects;
  readonly onChoose: (school: SchoolName) => void;
}

/** How much is forgiven a thing: each school with what it would change. */
export function Schools({ chosen, effects, onChoose }: SchoolsProps) {
  return (
    <section aria-labelledby="school-title">
      <h2 id="school-title" className="mb-2 border-b-2 border-ink pb-1 text-lg">
        School
      </h2>
      <p className="hint mb-3">
        Walkers disagree about how much to forgive a thing. These are rules of thumb, common practice, with no
        published source.
      </p>
      <div role="radiogroup" aria-labelledby="school-title" className="grid gap-2 sm:grid-cols-2">
        {Object.values(SCHOOLS).map((school) => (
          <SchoolChoice
            key={school.name}
            school={school}
            isChosen={chosen === school.name}
            effects={effects}
            onChoose={() => {
              onChoose(school.name);
              tell(`Judged by the ${school.name} school from now on`);
            }}
          />
        ))}
      </div>
    </section>
  );
}

interface SchoolChoiceProps {
  readonly school: School;
  readonly isChosen: boolean;
  readonly effects: Effects;
  readonly onChoose: () => void;
}

function SchoolChoice({ school, isChosen, effects, onChoose }: SchoolChoiceProps) {
  const { name, motto, dropLine, worthNeeded, backups, backupsLightWater } = school;
  return (
    <label className={`${CHOICE} ${isChosen ? "border-leaf bg-leaf-soft" : "border-rule"}`}>
      <input
        type="radio"
        name="school"
        value={name}
        className="sr-only"
        checked={isChosen}
        onChange={onChoose}
      />
      <span className="font-head text-lg font-bold">{name}</span> <span className="text-muted">{motto}</span>
      <span className="mt-1 block" data-effect={name}>
        <Suspense fallback={<span className="text-muted">Asking the log …</span>}>
          <Effect of={name} effects={effects} />
        </Suspense>
      </span>
      <span className="mt-1 block text-sm text-muted">
        Leave it when it is four to one that it is used on fewer than {percent(dropLine)} of the chances that
        call for it. Backups for a critical job: {backups}
        {backupsLightWater !== backups && `, ${backupsLightWater} for light and water`}. Worth asked of its
        weight: {worthNeeded}.
      </span>
    </label>
  );
}

const CHOICE = "cursor-pointer border p-3 has-focus-visible:outline-2 has-focus-visible:outline-stem";

function Effect({ of, effects }: { of: SchoolName; effects: Effects }) {
  return use(effects)[of];
}
