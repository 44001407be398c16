import { NextResponse, type NextRequest } from "next/server";
import { isPaired, PAIRED_COOKIE } from "./data/pairings";
import { pairPage } from "./pair-page";

const LOCAL = ["localhost", "127.0.0.1", "[::1]"];
/** Where the app is shared: the names and addresses that it listens on, parted by blanks. */
const shared = () => (process.env.NETTLE_SHARED_ON ?? "").split(" ").filter(Boolean);

/**
 * A page elsewhere must not write here, nor read by giving this machine another name: only the names it listens on are
 * answered, and whatever changes something must come from a page of ours. Shared on the home network, it answers only browsers
 * that are paired, on this machine too: a name that a request gives itself proves nothing.
 */
export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get("host") ?? "";
  const name = host.replace(/:\d+$/, "");
  const sharing = shared();
  if (!LOCAL.includes(name) && name !== process.env.NETTLE_HOST && !sharing.includes(name))
    return refuse("Nettle Tally answers only to the name it listens on.");
  const origin = request.headers.get("origin");
  if (request.method !== "GET" && request.method !== "HEAD" && origin !== null && hostOf(origin) !== host)
    return refuse("That came from another site.");

  try {
    decodeURI(request.nextUrl.pathname);
  } catch {
    return new NextResponse("That is no address.", { status: 400 });
  }

  const nonce = btoa(crypto.randomUUID());
  const isLetIn = sharing.length === 0 || isPaired(request.cookies.get(PAIRED_COOKIE)?.value);
  const asks = request.nextUrl.pathname === "/api/pair" && request.method === "POST";
  const development = process.env.NODE_ENV === "development" ? " 'unsafe-eval'" : "";
  const policy = [
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
  ].join("; ");
  if (!isLetIn && !asks)
    return new NextResponse(pairPage(nonce), {
      status: 401,
      headers: {
        "content-type": "text/html; charset=utf-8",
        "Content-Security-Policy": policy,
        "X-Content-Type-Options": "nosniff",
        "Referrer-Policy": "no-referrer",
        "Cache-Control": "no-store",
      },
    });
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  headers.set("Content-Security-Policy", policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("Content-Security-Policy", policy);
  response.headers.set("X-Content-Type-Options", "nosniff");
  response.headers.set("Referrer-Policy", "same-origin");
  return response;
}

/** Null for what is no address: "null", or anything else. */
const hostOf = (origin: string) => (URL.canParse(origin) ? new URL(origin).host : null);

const refuse = (why: string) => new NextResponse(why, { status: 403 });

export const config = { matcher: ["/((?!_next/static/|icon\\.svg$|favicon\\.ico$).*)"] };
