import { followLog } from "@/app/following";

/** What holds the line open where nothing happens, in ms: some networks cut one that is silent for half a minute. */
const SIGN_OF_LIFE_MS = 20_000;

/** Server-sent events: one each time that the log has changed, so that every screen shows what another said. */
export function GET(): Response {
  const encoder = new TextEncoder();
  let stop = () => {};
  const told = new ReadableStream<Uint8Array>({
    start(controller) {
      const say = (line: string) => controller.enqueue(encoder.encode(`${line}\n\n`));
      const unfollow = followLog((at) => say(`data: ${at}`));
      const alive = setInterval(() => say(": still here"), SIGN_OF_LIFE_MS).unref();
      stop = () => {
        unfollow();
        clearInterval(alive);
      };
      say(": following");
    },
    cancel: () => stop(),
  });
  return new Response(told, {
    // Not to be packed: an event goes out as it happens.
    headers: { "content-type": "text/event-stream", "cache-control": "no-store, no-transform" },
  });
}
