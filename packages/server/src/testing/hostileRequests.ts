import type { ValidRequest } from "./validRequests";

/** A request as it goes out: the body is what is sent, letter by letter. */
export type HostileRequest = {
  readonly method: string;
  /** Under `/api/v1`, already encoded. */
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | Buffer | undefined;
  /** What is odd about it, to be said where it is not borne. */
  readonly odd: string;
};

/** Numbers that come in the same order each time, so that what failed can be done again. */
export function randomBy(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    // mulberry32, a generator in the public domain.
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

export type Random = () => number;
export const oneOf = <T>(random: Random, all: readonly T[]): T => {
  const found = all[Math.floor(random() * all.length)];
  if (found === undefined && all.length === 0) throw new Error("oneOf: there is nothing to choose from");
  return found as T;
};

const deep = (levels: number): string => `${"[".repeat(levels)}${"]".repeat(levels)}`;

/** Values that somebody could send, as JSON text: some no parser should take. */
export const ODD_JSON: readonly string[] = [
  "null",
  "true",
  "0",
  "-1",
  "-0",
  "1e308",
  "-1e308",
  "1e999",
  "9007199254740993",
  "0.1",
  "NaN",
  '""',
  '" "',
  '"\\u0000"',
  '"\\ud83d"',
  '"🏠🏠🏠"',
  '"../../../etc/passwd"',
  '"\' OR 1=1 -- "',
  '"<script>alert(1)</script>"',
  '"{{7*7}}"',
  '"2026-02-30"',
  '"9999-99-99T99:99:99Z"',
  `"${"x".repeat(5000)}"`,
  `"${"9".repeat(400)}"`,
  "{}",
  "[]",
  "[[]]",
  '{"__proto__":{"admin":true}}',
  '{"constructor":{"prototype":{"x":1}}}',
  '{"toString":1,"length":-1}',
  `[${Array.from({ length: 3000 }, () => 1).join(",")}]`,
  deep(100),
  deep(5000),
];

const ODD_PARAMS: readonly string[] = [
  "",
  " ",
  "%00",
  "..",
  "..%2f..",
  "%ED%A0%BD",
  "%E2%82",
  "'%20OR%201=1",
  "0",
  "-1",
  "null",
  "constructor",
  "__proto__",
  "a".repeat(2000),
  "00000000-0000-4000-8000-000000000000",
  "%F0%9F%8F%A0",
];

const ODD_QUERIES: readonly string[] = [
  "?page=-1",
  "?page=1e9&perPage=1e9",
  "?since=NaN",
  "?since=-1",
  "?date=2026-99-99",
  "?find=%25%25%25%5C",
  "?find[]=a&find[$ne]=b",
  `?known=${"a@1,".repeat(1500)}`,
  "?sort=__proto__",
  "?__proto__[x]=1",
  "?%00=1",
  "?as=exe",
];

const TYPES: readonly string[] = [
  "application/json",
  "text/plain",
  "application/json; charset=utf-7",
  "multipart/form-data; boundary=x",
  "image/png",
  "",
];

/** Places in a body: the keys that lead to each of its values. */
export function placesIn(
  value: unknown,
  path: readonly string[] = [],
  found: (readonly string[])[] = [],
): (readonly string[])[] {
  if (found.length > 2000) return found;
  if (path.length > 0) found.push(path);
  if (typeof value !== "object" || value === null || Buffer.isBuffer(value)) return found;
  for (const [key, inner] of Object.entries(value)) placesIn(inner, [...path, key], found);
  return found;
}

const HOLE = "a hole in a body 9d1f";

/** The body as JSON with something else at one place. */
export function withAt(body: unknown, path: readonly string[], json: string): string {
  const copy: unknown = structuredClone(body);
  let place = copy as Record<string, unknown>;
  for (const key of path.slice(0, -1)) place = place[key] as Record<string, unknown>;
  const last = path.at(-1);
  if (last !== undefined) place[last] = HOLE;
  return JSON.stringify(copy).replace(JSON.stringify(HOLE), () => json);
}

function oddBody(random: Random, body: unknown): Pick<HostileRequest, "body" | "odd"> {
  if (Buffer.isBuffer(body)) {
    const bytes = Buffer.from(body);
    bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
    return {
      body: random() < 0.5 ? bytes : bytes.subarray(0, Math.floor(random() * bytes.length)),
      odd: "broken bytes",
    };
  }
  const json = oneOf(random, ODD_JSON);
  const places = placesIn(body);
  if (body === undefined || places.length === 0 || random() < 0.1)
    return { body: json, odd: `all of it ${json.slice(0, 40)}` };
  const path = oneOf(random, places);
  if (random() < 0.1) return { body: JSON.stringify(body).slice(0, Math.floor(random() * 500)), odd: "cut off" };
  return { body: withAt(body, path, json), odd: `${path.join(".")} = ${json.slice(0, 40)}` };
}

export type Operation = { readonly method: string; readonly path: string };

/** A hostile request of an operation: something odd in its body, its address, its query or its headers. */
export function hostileRequest(random: Random, { method, path }: Operation, valid: ValidRequest): HostileRequest {
  const where = oneOf(random, ["body", "body", "body", "address", "query", "headers"] as const);
  const name = oneOf(random, [...path.matchAll(/:(\w+)/g)].map((match) => match[1]).concat(undefined));
  const filled = path.replace(/:(\w+)/g, (_, each: string) =>
    where === "address" && each === name ? oneOf(random, ODD_PARAMS) : encodeURIComponent(valid.params[each] ?? "none"),
  );
  const query = where === "query" ? oneOf(random, ODD_QUERIES) : "";
  const plain = Buffer.isBuffer(valid.body)
    ? valid.body
    : valid.body === undefined
      ? undefined
      : JSON.stringify(valid.body);
  const { body, odd } =
    where === "body" ? oddBody(random, valid.body) : { body: plain, odd: `${where} ${filled}${query}` };
  const type =
    where === "headers" ? oneOf(random, TYPES) : Buffer.isBuffer(valid.body) ? "image/png" : "application/json";
  const headers: Record<string, string> = { ...(type === "" ? {} : { "content-type": type }) };
  if (where === "headers") {
    headers["idempotency-key"] = oneOf(random, ["", "x".repeat(300), "00000000-0000-4000-8000-000000000000"]);
    headers["if-none-match"] = '"*"';
  }
  return { method, path: `${filled}${query}`, headers, body: method === "get" ? undefined : body, odd };
}
