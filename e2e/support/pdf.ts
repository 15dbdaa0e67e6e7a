import { readFileSync } from "node:fs";

/** The text of a PDF, a line for each run of one height, as any reader would select it. */
export async function pdfText(file: string): Promise<string> {
  const { getDocument } = await import("pdfjs-dist/legacy/build/pdf.mjs");
  const document = await getDocument({ data: new Uint8Array(readFileSync(file)), verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let number = 1; number <= document.numPages; number += 1) {
    const { items } = await (await document.getPage(number)).getTextContent();
    const lines = new Map<number, string>();
    for (const item of items) {
      if (!("str" in item)) continue;
      const height = Math.round(Number(item.transform[5]));
      lines.set(height, `${lines.get(height) ?? ""} ${item.str}`.trim());
    }
    pages.push([...lines.values()].join("\n"));
  }
  return pages.join("\n");
}

/** Every amount on lines that hold a label, in cents. */
export function centsAt(text: string, label: string): number[] {
  return text
    .split("\n")
    .filter((line) => line.includes(label))
    .flatMap((line) => [...line.matchAll(/[$£€]([\d,]+)\.(\d\d)/g)])
    .map(([, whole = "0", cents = "0"]) => Number(whole.replace(/,/g, "")) * 100 + Number(cents));
}
