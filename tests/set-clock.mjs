// Loaded before a program of the tests: its clock is off by CLOCK_OFF_MS.
const off = Number(process.env.CLOCK_OFF_MS);
const Real = Date;
const now = () => Real.now() + off;
globalThis.Date = new Proxy(Real, {
  construct: (target, told, as) => Reflect.construct(target, told.length === 0 ? [now()] : told, as),
  get: (target, name) => (name === "now" ? now : Reflect.get(target, name)),
});
