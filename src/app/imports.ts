/** An import under way: how many of its trips are in, and whether its owner wants it stopped. */
interface Import {
  done: number;
  of: number;
  stopped: boolean;
}

const underWay = new Map<string, Import>();

/** Its owner stopped it: nothing of it is kept. */
export class Stopped extends Error {}

/** Told how far an import has come. @throws Stopped where it is to go no further */
export type Tell = (done: number, of: number) => Promise<void>;

/** Runs an import that can be asked after, and stopped, by its id. */
export async function asImport<T>(id: string, work: (tell: Tell) => Promise<T>): Promise<T> {
  const one: Import = { done: 0, of: 0, stopped: false };
  underWay.set(id, one);
  try {
    return await work(async (done, of) => {
      Object.assign(one, { done, of });
      // Whoever asks for it, or wants it stopped, has a turn first.
      await new Promise((resolve) => setImmediate(resolve));
      if (one.stopped) throw new Stopped();
    });
  } finally {
    underWay.delete(id);
  }
}

/** How far it has come; null where none of this id is under way here. */
export const importOf = (id: string): Readonly<Pick<Import, "done" | "of">> | null =>
  underWay.get(id) ?? null;

/** Asks it to stop; false where none of this id is under way here. */
export function stopImport(id: string): boolean {
  const one = underWay.get(id);
  if (one) one.stopped = true;
  return one !== undefined;
}
