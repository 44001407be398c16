import { createServer, type IncomingMessage, type Server, type ServerResponse } from "node:http";
import { createServer as createPadlocked } from "node:https";
import { createServer as createLine, type Socket } from "node:net";
import next from "next";
import { dataFolder } from "../data/folder";
import { padlockFor } from "./padlock";
import { guard, headersOf, tooLarge, type Refusal } from "./guard";

/**
 * The server: the guard stands before the framework, so that no address of the framework's own is left out,
 * and no body is kept of who is not let in. Bundled by `scripts/setup.mjs`; told by the environment where to
 * listen.
 */
const port = Number(process.env.PORT);
const hostname = process.env.NETTLE_HOST || "127.0.0.1";
const dev = process.env.NODE_ENV === "development";

/**
 * What is left of a body that is not wanted is taken off the line for so long, so that its sender hears why;
 * then it is cut off.
 */
const LINGER_MS = 2000;

// Whoever started it may be gone, and what it says goes nowhere: that is no fault. Unheard, it would be told of by the
// framework, which fails in the same way, and so on without end.
for (const out of [process.stdout, process.stderr]) out.on("error", () => undefined);

// Shared, it has a padlock: what a phone keeps for when there is no network, browsers keep behind one alone.
const shared = (process.env.NETTLE_SHARED_ON ?? "").split(" ").filter(Boolean);
const padlock = shared.length > 0 ? await padlockFor(shared, dataFolder()) : null;
if (padlock) {
  process.env.NETTLE_AUTHORITY = padlock.authority;
  process.env.NETTLE_FINGERPRINT = padlock.fingerprint;
}

const app = next({ dev, dir: process.cwd(), hostname, port });
await app.prepare();
const handle = app.getRequestHandler();
const upgrade = app.getUpgradeHandler();

function answer(request: IncomingMessage, response: ServerResponse): void {
  const nonce = btoa(crypto.randomUUID());
  const headers = headersOf(nonce);
  for (const [name, value] of Object.entries(headers)) response.setHeader(name, value);
  const { method = "GET", url = "" } = request;
  const guarded = guard({ method, url, headers: request.headers }, nonce);
  if (!guarded.pass) {
    refuse(request, response, guarded.answer);
    return;
  }
  countBody(request, response, guarded.body);
  // The framework reads the nonce for its scripts off the policy that came with the request.
  request.headers["content-security-policy"] = headers["Content-Security-Policy"];
  void handle(request, response);
}

const plain = createServer(answer);
const padlocked = padlock && createPadlocked(padlock, answer);
for (const server of [plain, ...(padlocked ? [padlocked] : [])]) prepare(server);

/** One port for both: the first byte of a padlocked line is 22, and no request begins with it. */
const TLS_HANDSHAKE = 22;
const server = padlocked ? createLine((line) => answerOn(line, padlocked)) : plain;

function answerOn(line: Socket, behindPadlock: Server): void {
  line.once("error", () => line.destroy());
  line.once("data", (first: Buffer) => {
    line.pause();
    line.unshift(first);
    (first[0] === TLS_HANDSHAKE ? behindPadlock : plain).emit("connection", line);
    process.nextTick(() => line.resume());
  });
}

function prepare(server: Server): void {
  // Only the reloading of pages while developing changes the protocol.
  server.on("upgrade", (request, socket, head) =>
    dev ? void upgrade(request, socket, head) : socket.destroy(),
  );
  server.on("clientError", (_, socket) => {
    const policy = headersOf("none")["Content-Security-Policy"];
    if (socket.writable)
      socket.end(
        `HTTP/1.1 400 Bad Request\r\nContent-Security-Policy: ${policy}\r\nConnection: close\r\n\r\nThat is no request.`,
      );
  });
}

server.on("error", (error) => {
  console.error(`Nettle Tally can't listen on ${hostname}, port ${port}: ${error.message}`);
  process.exit(1);
});
server.listen(port, hostname, () => {
  console.log(process.env.NETTLE_READY ?? `Ready on port ${port}`);
  if (padlock) console.log(`Fingerprint of its certificate authority (SHA-256): ${padlock.fingerprint}`);
});

function refuse(request: IncomingMessage, response: ServerResponse, { status, type, body }: Refusal): void {
  response.writeHead(status, {
    "Content-Type": `${type}; charset=utf-8`,
    "Cache-Control": "no-store",
    "Referrer-Policy": "no-referrer",
  });
  response.end(request.method === "HEAD" ? undefined : body);
  setTimeout(() => !request.readableEnded && request.destroy(), LINGER_MS).unref();
}

/** Cuts a body off that grows over its limit; one that says its length has been refused before. */
function countBody(request: IncomingMessage, response: ServerResponse, most: number): void {
  let bytes = 0;
  // Node hands each piece of a body to `push` as it comes; a listener would take the pieces from who reads it.
  const push = request.push.bind(request);
  request.push = (piece: Buffer | null) => {
    bytes += piece?.length ?? 0;
    if (bytes <= most) return push(piece);
    // Whoever reads it must not take what has come for the whole: it never ends, and breaks off.
    if (!response.headersSent) refuse(request, response, tooLarge(most));
    return true;
  };
}
