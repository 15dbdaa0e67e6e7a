const SYMBOLS = /[$£€]/;

export type ReadFigure =
  | { readonly ok: true; readonly text: string; readonly currency: string }
  | { readonly ok: false; readonly why: string };

const no = (why: string): ReadFigure => ({ ok: false, why });

/** `$1,234.50` as `1234.50`. A comma in a decimal's place is not guessed at: it is told. */
export function readPrice(typed: string): ReadFigure {
  const currency = SYMBOLS.exec(typed)?.[0] ?? "";
  const text = typed.replace(SYMBOLS, "").trim();
  if (text === "") return no("there is no price");
  if (/^\(.*\)$/.test(text) || /^[-−]/.test(text)) return no(`“${typed}” is less than nothing`);
  const plain = /^\d{1,3}(,\d{3})+(\.\d+)?$/.test(text) ? text.replaceAll(",", "") : text;
  if (/^\d+,\d+$/.test(plain)) return no(`“${typed}” has a comma where a decimal point belongs`);
  if (!/^\d{1,9}(\.\d+)?$/.test(plain)) return no(`“${typed}” is no price like 9.84`);
  const [, places = ""] = plain.split(".");
  if (places.length > 4) return no(`“${typed}” has more than four decimals`);
  return { ok: true, text: plain, currency };
}

/** A plain figure above zero; nothing where there is none. */
export function readCount(typed: string): number | undefined {
  const value = Number(typed.replaceAll(",", "").trim());
  return typed.trim() !== "" && Number.isFinite(value) && value > 0 ? value : undefined;
}

/** Numbers as days since the end of 1899, as spreadsheets have them, or as they are written. */
export function readDate(typed: string): string | undefined {
  const text = typed.trim();
  if (/^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(`${text}T00:00:00Z`))) return text;
  return undefined;
}
