// `npm start -- --share`: the app on the home network, for the phone on the floor.
import { randomBytes } from "node:crypto";
import { hostname, networkInterfaces } from "node:os";
import QRCode from "qrcode";

/** Addresses of this machine that others on its network reach it by. */
const addresses = () =>
  Object.values(networkInterfaces())
    .flat()
    .filter((one) => one && !one.internal && !(one.family === "IPv6" && one.scopeid))
    .map(({ address, family }) => (family === "IPv6" ? `[${address}]` : address));

/** What a shared app is told: the names that it answers to, and the secret of today. */
export function sharing() {
  const names = [...addresses(), hostname(), `${hostname()}.local`];
  return { NETTLE_SHARED_ON: names.join(" "), NETTLE_PAIRING: randomBytes(10).toString("hex") };
}

/** The links to pair by, and a code for the first. */
export async function pairingWords({ NETTLE_SHARED_ON, NETTLE_PAIRING }, port) {
  const link = (name) => `http://${name}:${port}/#${NETTLE_PAIRING}`;
  const [first = "localhost", ...others] = NETTLE_SHARED_ON.split(" ");
  return [
    "Nettle Tally is shared on this network. A browser is let in by this link, and by nothing else:",
    ...[first, ...others.slice(0, 2), "localhost"].map((name) => `  ${link(name)}`),
    await QRCode.toString(link(first), { type: "terminal", small: true }),
    "The page that follows shows how to get the padlock. Until then what goes over the network is not encrypted: share it on a network that you trust.",
  ].join("\n");
}
