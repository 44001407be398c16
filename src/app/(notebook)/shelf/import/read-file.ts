import { CSV_LIMIT } from "@/formats/limits";

type FileRead = { readonly text: string } | { readonly why: string };

/** The text of a list's file: as it is, or of a spreadsheet the values of its sheet, read apart from the page. */
export async function readFile(file: File): Promise<FileRead> {
  if (file.size > CSV_LIMIT)
    return { why: `${file.name} is larger than ${CSV_LIMIT / 1024 / 1024} MB. Is it a list of gear?` };
  if (!/\.xlsx$/i.test(file.name)) return { text: await file.text() };
  const worker = new Worker(new URL("./spreadsheet.worker.ts", import.meta.url), { type: "module" });
  const read = await new Promise<FileRead>((resolve) => {
    worker.onmessage = ({ data }: MessageEvent<FileRead>) => resolve(data);
    worker.onerror = () => resolve({ why: "It can’t be read." });
    worker.postMessage(file);
  });
  worker.terminate();
  return "why" in read ? { why: `${file.name}: ${read.why} Save it as CSV, or paste the list.` } : read;
}
