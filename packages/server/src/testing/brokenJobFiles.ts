import type { JobFile } from "@wide-porch/core";
import { ODD_JSON, oneOf, placesIn, type Random, withAt } from "./hostileRequests";

/** A job file as text, and what was broken in it. */
export type BrokenFile = { readonly text: string; readonly odd: string };

type Stored = Record<string, unknown>;

/** What somebody's own program could write for a record. */
const NO_RECORDS: readonly unknown[] = [true, false, 0, -1, "", "a part", null, [], [[]], {}, { kind: "room" }];
const LISTS = ["parts", "quotes", "assemblies", "standards", "photos"] as const;
const NO_VERSIONS: readonly unknown[] = [0, -1, 1.5, 99, "1", null, [], 1e308];
const MOST_AT_ONCE = 4;

/** Changes the file in place; `parts` are those of its parts that still are records. Says what it did. */
type Breakage = (file: Stored, parts: readonly Stored[], random: Random) => string;

const noRecord: Breakage = (file, _, random) => {
  const name = oneOf(random, LISTS);
  const list = file[name];
  if (!Array.isArray(list)) return `${name} is no list`;
  const at = Math.floor(random() * (list.length + 1));
  list[at] = oneOf(random, NO_RECORDS);
  return `${name}.${at} is ${JSON.stringify(list[at])}`;
};

const noList: Breakage = (file, _, random) => {
  const name = oneOf(random, LISTS);
  file[name] = oneOf(random, NO_RECORDS);
  return `${name} is ${JSON.stringify(file[name])}`;
};

const otherKind: Breakage = (_, parts, random) => {
  const part = oneOf(random, parts);
  part.kind = oneOf(random, [...parts.map((each) => each.kind), "", "constructor", "pergola of tomorrow"]);
  return `a part says it is ${JSON.stringify(part.kind)}`;
};

const otherVersion: Breakage = (_, parts, random) => {
  const part = oneOf(random, parts);
  part.schemaVersion = oneOf(random, NO_VERSIONS);
  return `a part is of version ${JSON.stringify(part.schemaVersion)}`;
};

/** One part's id in another wherever it names a third: parts that lie on, follow or stand on themselves. */
const otherId: Breakage = (_, parts, random) => {
  const [part, one, other] = [oneOf(random, parts), oneOf(random, parts), oneOf(random, parts)];
  const text = JSON.stringify(part).replaceAll(`"${one.id}"`, () => `"${other.id}"`);
  Object.assign(part, JSON.parse(text));
  return `${other.id} for ${one.id} in a part`;
};

const twice: Breakage = (file, parts, random) => {
  file.parts = [...(file.parts as unknown[]), structuredClone(oneOf(random, parts))];
  return "a part twice";
};

const withoutField: Breakage = (_, parts, random) => {
  const part = oneOf(random, parts);
  const field = oneOf(random, Object.keys(part));
  delete part[field];
  return `a part without ${field}`;
};

const BREAKAGES: readonly Breakage[] = [
  noRecord,
  noRecord,
  noList,
  otherKind,
  otherVersion,
  otherId,
  twice,
  withoutField,
];

const isRecord = (part: unknown): part is Stored => typeof part === "object" && part !== null && !Array.isArray(part);
const recordsIn = (list: unknown): Stored[] => (Array.isArray(list) ? list.filter(isRecord) : []);

/** The file with up to four things broken in it, and often one value of a part that nobody would type. */
export function brokenJobFile(random: Random, valid: JobFile): BrokenFile {
  const file: Stored = structuredClone(valid);
  const odd: string[] = [];
  const times = Math.floor(random() * (MOST_AT_ONCE + 1));
  for (let time = 0; time < times; time += 1) {
    const parts = recordsIn(file.parts);
    if (parts.length > 0) odd.push(oneOf(random, BREAKAGES)(file, parts, random));
  }
  const parts = recordsIn(file.parts);
  if (parts.length === 0 || (odd.length > 0 && random() < 0.5))
    return { text: JSON.stringify(file), odd: odd.join("; ") };
  const part = oneOf(random, parts);
  const at = String((file.parts as unknown[]).indexOf(part));
  const path = oneOf(random, placesIn(part, ["parts", at]));
  const json = oneOf(random, ODD_JSON);
  return { text: withAt(file, path, json), odd: [...odd, `${path.join(".")} = ${json.slice(0, 40)}`].join("; ") };
}
