/**
 * Runs once when the server starts: opens the data, so that a folder in use is refused at once, and closes it
 * on the way out.
 */
export async function register() {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { openForServer } = await import("./server/life");
  await openForServer();
}
