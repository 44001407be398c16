import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { gzipSync } from "node:zlib";
import vm from "node:vm";

/** What a page's first load brings, in bytes of JavaScript as they are sent (gzip). */
export interface FirstLoad {
  readonly page: string;
  readonly bytes: number;
  /** The files of it, from the project's folder. */
  readonly files: readonly string[];
}

const BUILD = ".next";
const SUFFIX = "page_client-reference-manifest.js";

/** The first load of every page of the build: what the framework needs anywhere, and what the page's own parts do. */
export function firstLoads(): FirstLoad[] {
  const { rootMainFiles }: { rootMainFiles: string[] } = JSON.parse(
    readFileSync(path.join(BUILD, "build-manifest.json"), "utf8"),
  );
  const sizes = new Map<string, number>();
  const sizeOf = (file: string) => {
    const known = sizes.get(file) ?? gzipSync(readFileSync(path.join(BUILD, file))).length;
    sizes.set(file, known);
    return known;
  };
  return readdirSync(path.join(BUILD, "server/app"), { recursive: true, encoding: "utf8" })
    .filter((file) => file.endsWith(SUFFIX))
    .map((file) => {
      const own = chunksOf(readFileSync(path.join(BUILD, "server/app", file), "utf8"));
      const all = [...new Set([...rootMainFiles, ...own])];
      return {
        page: `/${path.dirname(file).replaceAll(/\([^)]*\)\/?/g, "")}`.replace(/\/\.?$/, "") || "/",
        bytes: all.reduce((sum, each) => sum + sizeOf(each), 0),
        files: all.map((each) => path.join(BUILD, each)),
      };
    })
    .toSorted((a, b) => b.bytes - a.bytes);
}

/** The chunks that a manifest names: a script that fills one global object. */
function chunksOf(script: string): string[] {
  const context = vm.createContext({ globalThis: {} as Record<string, unknown> });
  const manifests: Record<string, { entryJSFiles?: Record<string, string[]> }> = vm.runInContext(
    `${script}; globalThis.__RSC_MANIFEST`,
    context,
  );
  return Object.values(manifests).flatMap(({ entryJSFiles = {} }) =>
    Object.values(entryJSFiles)
      .flat()
      .map((file) => file.replace(/^\/_next\//, "")),
  );
}
