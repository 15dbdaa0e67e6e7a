/** A text with names in braces, read once: `timber/{studSize}`. There is one text more than there are names. */
export type Template = { readonly texts: readonly string[]; readonly names: readonly string[] };

export function readTemplate(text: string): Template {
  // Splitting by a group keeps what the group caught: text, name, text, name, text.
  const split = text.split(/\{(\w+)\}/);
  return {
    texts: split.filter((_, index) => index % 2 === 0),
    names: split.filter((_, index) => index % 2 === 1),
  };
}

/** The text with what each name stands for in its place. */
export function fillTemplate({ texts, names }: Template, say: (name: string) => string): string {
  let filled = texts[0] ?? "";
  for (let index = 0; index < names.length; index += 1) filled += say(names[index] ?? "") + (texts[index + 1] ?? "");
  return filled;
}
