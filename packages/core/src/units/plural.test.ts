import { PART_KINDS } from "../kinds";
import { plural, pluralOf, singular, soMany } from "./plural";

it("one is one, and all else is many", () => {
  expect([0, 1, 1.5, 2, 11, 21, 101].map((count) => plural(count, "joist", "joists"))).toEqual([
    "joists",
    "joist",
    "joists",
    "joists",
    "joists",
    "joists",
    "joists",
  ]);
  expect(soMany(1, "length", "lengths")).toBe("1 length");
  expect(soMany(3, "length", "lengths")).toBe("3 lengths");
});

it.each([
  ["common trusses", "common truss"],
  ["collar ties", "collar tie"],
  ["joists", "joist"],
  ["joist boxes", "joist box"],
  ["upright branches", "upright branch"],
  ["braces", "brace"],
  ["bracing", "bracing"],
])("of %s each is a %s", (many, one) => {
  expect(singular(many)).toBe(one);
});

it.each([
  ["foot", "feet"],
  ["square foot", "square feet"],
  ["leaf", "leaves"],
  ["box", "boxes"],
  ["truss", "trusses"],
  ["post", "posts"],
])("many of a %s are %s", (one, many) => {
  expect(pluralOf(one)).toBe(many);
});

it("no role of a piece loses more than its plural", () => {
  const words = Object.values(PART_KINDS).flatMap(({ roles }) => roles.map((role) => role.words));
  const odd = words.filter((each) => /(sse|xe|che|she)$/.test(singular(each)) || singular(each) === "");
  expect(odd).toEqual([]);
});
