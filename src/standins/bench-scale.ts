/**
 * A simulated USB kitchen scale. It stands in for a real one behind the part of Web Serial's SerialPort that
 * the app uses, so that a real port can take its place: lines of text ten times a second, "T" for tare. What
 * it shows is made up.
 */
export interface ScalePort {
  open(options: { readonly baudRate: number }): Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
  readonly writable: WritableStream<Uint8Array> | null;
  close(): Promise<void>;
}

/** The heaviest that it can tell, in grams. */
export const CAPACITY = 5000;
const TICK_MS = 100;

/** Spread of its noise and of each step of its drift, in grams; how much of the way it moves in a tick. */
const NOISE = 0.25;
const DRIFT = 0.03;
const SWIFTNESS = 0.4;

/** The works of the scale, without its clock: a load is put on, and each tick shows a line. */
export class ScaleWorks {
  #load = 0;
  #shown = 0;
  #drift = 0;
  #tare = 0;

  /** @param random numbers evenly from 0 to 1 */
  constructor(private readonly random: () => number) {}

  /** Puts so many grams on, in the place of what lay there. */
  put(grams: number): void {
    this.#load = grams;
  }

  tare(): void {
    this.#tare = this.#shown + this.#drift;
  }

  /** What it says a tenth of a second later. */
  tick(): string {
    this.#shown += (this.#load - this.#shown) * SWIFTNESS;
    this.#drift += (this.random() - 0.5) * 2 * DRIFT;
    if (this.#shown > CAPACITY) return "OL";
    // Three even numbers summed come near enough to a bell.
    const noise = (this.random() + this.random() + this.random() - 1.5) * 2 * NOISE;
    return `${(this.#shown + this.#drift + noise - this.#tare).toFixed(1)} g`;
  }
}

/** The scale, plugged in. `put` and `unplug` are the hands that a real scale has beside it. */
export function simulatedScale(random: () => number = Math.random): ScalePort & {
  put(grams: number): void;
  unplug(): void;
} {
  const works = new ScaleWorks(random);
  let timer: ReturnType<typeof setInterval> | undefined;
  let stream: ReadableStreamDefaultController<Uint8Array> | undefined;
  let readable: ReadableStream<Uint8Array> | null = null;
  let writable: WritableStream<Uint8Array> | null = null;
  const stop = () => {
    clearInterval(timer);
    [timer, stream, readable, writable] = [undefined, undefined, null, null];
  };
  return {
    get readable() {
      return readable;
    },
    get writable() {
      return writable;
    },
    open: () => {
      const encoder = new TextEncoder();
      readable = new ReadableStream({
        start: (controller) => {
          stream = controller;
          timer = setInterval(() => controller.enqueue(encoder.encode(`${works.tick()}\r\n`)), TICK_MS);
        },
        cancel: stop,
      });
      writable = new WritableStream({
        write: (chunk) => {
          if (new TextDecoder().decode(chunk).trim() === "T") works.tare();
        },
      });
      return Promise.resolve();
    },
    close: () => {
      stream?.close();
      stop();
      return Promise.resolve();
    },
    put: (grams) => works.put(grams),
    unplug: () => {
      stream?.error(new DOMException("The device has been lost.", "NetworkError"));
      stop();
    },
  };
}
