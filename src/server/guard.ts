import type { IncomingHttpHeaders } from "node:http";
import { isPaired, PAIRED_COOKIE } from "../data/records/pairings";
import { FILE_LIMIT } from "../core/model/basics";
import { pairPage } from "./pair-page";

/** What the app is called by, beside what this machine calls itself. */
const LOCAL = ["localhost", "127.0.0.1", "[::1]"];
/** Where the app is shared: the names and addresses that it listens on, parted by blanks. */
const sharedOn = () => (process.env.NETTLE_SHARED_ON ?? "").split(" ").filter(Boolean);

/**
 * All that a browser which is not paired is given beside the page that pairs it: the app's own signs, which
 * know nothing of the log.
 */
const FOR_STRANGERS: readonly string[] = [
  "/favicon.ico",
  "/icon.svg",
  "/apple-icon.png",
  "/icon-192.png",
  "/icon-512.png",
  "/manifest.webmanifest",
];
const PAIRS = "/api/pair";

const MB = 1024 * 1024;
/** Largest body taken, in bytes, by where it goes; to any other address, a page's own forms among them, `FORM`. */
const BODIES: readonly (readonly [path: string, bytes: number])[] = [
  ["/api/log", FILE_LIMIT],
  [PAIRS, 2048],
  ["/api/", 2 * MB],
];
const FORM = 8 * MB;

/** What the guard goes by of a request. */
export interface Asked {
  readonly method: string;
  /** Its address as it was sent: path and query. */
  readonly url: string;
  readonly headers: IncomingHttpHeaders;
}

/**
 * Let in, with the largest body that is taken of it in bytes; or answered here, in words that know nothing of
 * the log.
 */
export type Guarded =
  { readonly pass: true; readonly body: number } | { readonly pass: false; readonly answer: Refusal };

export interface Refusal {
  readonly status: number;
  readonly type: "text/plain" | "text/html" | "application/json";
  readonly body: string;
}

const refused = (status: number, body: string): Guarded => ({
  pass: false,
  answer: { status, type: "text/plain", body },
});

/** Said to whoever sends more than is taken, in the words that every route has for what is wrong. */
export function tooLarge(bytes: number): Refusal {
  const most = bytes >= MB ? `${Math.floor(bytes / MB)} MB` : `${Math.floor(bytes / 1024)} KB`;
  const why = `That is larger than ${most}, the most that is taken here.`;
  return { status: 413, type: "application/json", body: JSON.stringify({ why, problems: [why] }) };
}

/**
 * Who comes in, before anything else looks at a request; it lets pass what it knows, never what it leaves
 * out. A page elsewhere must not write here, nor read by giving this machine another name: only the names it
 * listens on are answered, and whatever changes something must come from a page of ours. Shared on the home
 * network, it answers only browsers that are paired, on this machine too: a name that a request gives itself
 * proves nothing.
 *
 * @param nonce of the answer's own scripts
 */
export function guard({ method, url, headers }: Asked, nonce: string): Guarded {
  const host = headers.host ?? "";
  const name = host.replace(/:\d+$/, "");
  const sharing = sharedOn();
  if (!LOCAL.includes(name) && name !== process.env.NETTLE_HOST && !sharing.includes(name))
    return refused(403, "Nettle Tally answers only to the name it listens on.");
  const reads = method === "GET" || method === "HEAD";
  const { origin } = headers;
  if (!reads && origin !== undefined && hostOf(origin) !== host)
    return refused(403, "That came from another site.");
  const path = pathIn(url);
  if (path === null) return refused(400, "That is no address.");

  const isLetIn =
    sharing.length === 0 ||
    isPaired(cookieIn(headers.cookie)) ||
    (reads && FOR_STRANGERS.includes(path)) ||
    (method === "POST" && path === PAIRS);
  if (!isLetIn) return { pass: false, answer: { status: 401, type: "text/html", body: pairPage(nonce) } };
  const body = BODIES.find(([of]) => (of.endsWith("/") ? path.startsWith(of) : path === of))?.[1] ?? FORM;
  return Number(headers["content-length"] ?? 0) > body
    ? { pass: false, answer: tooLarge(body) }
    : { pass: true, body };
}

/** The path of an address; null where it can't be one. */
function pathIn(url: string): string | null {
  const path = url.split("?", 1).join("");
  try {
    decodeURI(path);
  } catch {
    return null;
  }
  return path.startsWith("/") ? path : null;
}

const cookieIn = (cookies: string | undefined): string | undefined =>
  cookies
    ?.split("; ")
    .find((each) => each.startsWith(`${PAIRED_COOKIE}=`))
    ?.slice(PAIRED_COOKIE.length + 1);

/** Null for what is no address: "null", or anything else. */
const hostOf = (origin: string) => (URL.canParse(origin) ? new URL(origin).host : null);

/** Headers of every answer, whoever gives it. */
export function headersOf(nonce: string): Readonly<Record<string, string>> {
  const development = process.env.NODE_ENV === "development" ? " 'unsafe-eval'" : "";
  return {
    "Content-Security-Policy": [
      "default-src 'self'",
      `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development}`,
      "style-src 'self' 'unsafe-inline'",
      "img-src 'self' data: blob:",
      "font-src 'self'",
      "connect-src 'self'",
      "worker-src 'self' blob:",
      "object-src 'none'",
      "base-uri 'none'",
      "form-action 'self'",
      "frame-ancestors 'none'",
    ].join("; "),
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "same-origin",
  };
}
