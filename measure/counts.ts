/**
 * Counts the shape of the code that docs/development.md tells of: `npm run counts`, and `--list` for the places.
 * What a reader meets is counted: the files below `src`, without their tests.
 */
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import ts from "typescript";

interface Place {
  readonly file: string;
  readonly line: number;
  /** What is there, in a word or as a number of lines. */
  readonly what: string | number;
}

const LONG_FUNCTION = 60;
const TOO_LONG_FUNCTION = 80;
const LONG_LINE = 120;
/** Files in a folder that one still takes in at a glance. */
const ROOM = 12;

const files = readdirSync("src", { recursive: true, encoding: "utf8" })
  .map((file) => path.join("src", file))
  .filter((file) => /\.tsx?$/.test(file) && !/\.(test|d)\.tsx?$/.test(file))
  .toSorted();

const lineOf = (source: ts.SourceFile, at: number) => source.getLineAndCharacterOfPosition(at).line + 1;

/** Functions with their lengths in lines, from the first letter to the last. */
const functionsOf = (source: ts.SourceFile, node: ts.Node): Place[] => {
  const own =
    ts.isFunctionLike(node) && "body" in node && node.body
      ? [
          {
            file: source.fileName,
            line: lineOf(source, node.getStart(source)),
            what: lineOf(source, node.end) - lineOf(source, node.getStart(source)) + 1,
          },
        ]
      : [];
  return [...own, ...childrenOf(node).flatMap((child) => functionsOf(source, child))];
};

const childrenOf = (node: ts.Node): ts.Node[] => {
  const children: ts.Node[] = [];
  ts.forEachChild(node, (child) => void children.push(child));
  return children;
};

/** Every node that `is` finds, with its place. */
const found = (source: ts.SourceFile, node: ts.Node, is: (node: ts.Node) => boolean): Place[] => [
  ...(is(node)
    ? [{ file: source.fileName, line: lineOf(source, node.getStart(source)), what: ts.SyntaxKind[node.kind] }]
    : []),
  ...childrenOf(node).flatMap((child) => found(source, child, is)),
];

const within = (node: ts.Node): ts.Node =>
  ts.isParenthesizedExpression(node.parent) || ts.isJsxExpression(node.parent)
    ? within(node.parent)
    : node.parent;

const isNestedTernary = (node: ts.Node) =>
  ts.isConditionalExpression(node) && ts.isConditionalExpression(within(node));

/** `as const` says more of a value, never something else. */
const isCast = (node: ts.Node) => ts.isAsExpression(node) && node.type.getText() !== "const";

const sources = files.map((file) =>
  ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.Latest, true),
);
const everywhere = (look: (source: ts.SourceFile) => Place[]) => sources.flatMap(look);

const functions = everywhere((source) => functionsOf(source, source));
const longer = (lines: number) => functions.filter(({ what }) => Number(what) > lines);

const longLines = everywhere((source) =>
  source.text
    .split("\n")
    .map((text, n) => ({ file: source.fileName, line: n + 1, what: text.length }))
    .filter(({ what }) => what > LONG_LINE),
);

const filesIn = (folder: string) => files.filter((file) => path.dirname(file) === folder).length;
const crowded = [...new Set(files.map((file) => path.dirname(file)))]
  .map((folder) => ({ file: folder, line: 1, what: filesIn(folder) }))
  .filter(({ what }) => what > ROOM);

const counted: Record<string, readonly Place[]> = {
  [`functions over ${LONG_FUNCTION} lines`]: longer(LONG_FUNCTION),
  [`functions over ${TOO_LONG_FUNCTION} lines`]: longer(TOO_LONG_FUNCTION),
  [`lines over ${LONG_LINE} characters`]: longLines,
  "nested ternaries": everywhere((source) => found(source, source, isNestedTernary)),
  casts: everywhere((source) => found(source, source, isCast)),
  "non-null !": everywhere((source) => found(source, source, ts.isNonNullExpression)),
  "files of the browser": everywhere((source) =>
    /^\s*"use client"/.test(source.text) ? [{ file: source.fileName, line: 1, what: "client" }] : [],
  ),
  [`folders of over ${ROOM} files`]: crowded,
};

const bySize = (a: Place, b: Place) => Number(b.what) - Number(a.what);
for (const [name, places] of Object.entries(counted)) {
  console.log(`${String(places.length).padStart(5)}  ${name}`);
  if (process.argv.includes("--list"))
    for (const { file, line, what } of places.toSorted(bySize))
      console.log(`         ${file}:${line}  ${what}`);
}
