import { CacheFirst, NetworkFirst, Serwist } from "serwist";

/**
 * The trail page without a network: it opens as it was last seen, and everything that it is made of comes
 * from the cache. Nothing else of the app goes through here.
 */
const serwist = new Serwist({
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ request, url }) => request.mode === "navigate" && url.pathname === "/trail",
      handler: new NetworkFirst({ cacheName: "trail-page", networkTimeoutSeconds: 4 }),
    },
    {
      // Built files bear their content in their name: what is cached is what it was.
      matcher: ({ url }) => url.pathname.startsWith("/_next/static/") || url.pathname === "/icon.svg",
      handler: new CacheFirst({ cacheName: "trail-files" }),
    },
  ],
});
serwist.addEventListeners();
