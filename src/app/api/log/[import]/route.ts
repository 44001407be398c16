import { importOf, stopImport } from "@/app/imports";

interface Asked {
  readonly params: Promise<{ import: string }>;
}

const gone = () =>
  Response.json({ why: "No such import is under way: it is done, or was never begun." }, { status: 404 });

/** How far an import has come. */
export async function GET(_: Request, { params }: Asked): Promise<Response> {
  const told = importOf((await params).import);
  return told ? Response.json({ done: told.done, of: told.of }) : gone();
}

/** Stops an import: nothing of it is kept. */
export async function DELETE(_: Request, { params }: Asked): Promise<Response> {
  return stopImport((await params).import) ? new Response(null, { status: 204 }) : gone();
}
