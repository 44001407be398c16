import type { MetadataRoute } from "next";

/** What a phone needs to put the trail page beside its other programs. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: "Nettle Tally, on the trail",
    short_name: "Nettle trail",
    description: "A line for what happened, kept without a network.",
    start_url: "/trail",
    scope: "/",
    display: "standalone",
    background_color: "#f4f4ea",
    theme_color: "#24623a",
    icons: [{ src: "/icon.svg", sizes: "any", type: "image/svg+xml", purpose: "any" }],
  };
}
