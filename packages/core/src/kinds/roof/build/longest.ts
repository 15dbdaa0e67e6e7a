import { type Assembly, compileAssembly, fillTemplate, type Library } from "../../../assemblies";
import type { FramingPiece } from "../../../drawing/piece";
import { type PartContext, sectionOf } from "../../../kinds";
import { type Problem, problem } from "../../../problems/problem";
import { formatLength, type Nanometres } from "../../../units";
import type { RoofChoices } from "../parameters";
import { RAFTER_ROLES } from "../roles";

/** How long timber of a section is sold for what the assembly cuts pieces of a role from; endless where nobody says. */
export type Longest = (role: string, sectionId: string) => Nanometres;

export function longestSold(assembly: Assembly, library: Library): Longest {
  const rules = compileAssembly(assembly).inOrder.filter(({ rule }) => rule.buying === "cut");
  const usual = new Map(assembly.parameters.map((each) => [each.name, String(each.default)]));
  return (role, sectionId) => {
    const cut = rules.find(({ roles }) => roles.includes(role));
    const code = cut && fillTemplate(cut.item, (name) => (name === "section" ? sectionId : (usual.get(name) ?? "")));
    return (code === undefined ? undefined : library.longestSold?.get(code)) ?? Number.POSITIVE_INFINITY;
  };
}

type Family = {
  readonly name: "rafterSection" | "hipSection" | "joistSection";
  readonly roles: readonly string[];
  readonly words: string;
};

/** What is of one section, so that all of it changes together: depths and thicknesses then still meet. */
const FAMILIES: readonly Family[] = [
  { name: "rafterSection", roles: RAFTER_ROLES, words: "rafters" },
  { name: "hipSection", roles: ["hip-rafter", "valley-rafter"], words: "hips and valleys" },
  { name: "joistSection", roles: ["ceiling-joist"], words: "ceiling joists" },
];

export type Exchanged = { readonly choices: RoofChoices; readonly problems: readonly Problem[] };

/** Where the longest of a family is longer than any of its timber sold, the engineered section takes over, with a notice. */
export function withinStock(
  pieces: readonly FramingPiece[],
  choices: RoofChoices,
  longest: Longest,
  context: PartContext,
): Exchanged {
  let now = choices;
  const problems: Problem[] = [];
  for (const { name, roles, words } of FAMILIES) {
    const own = pieces.filter(({ role }) => roles.includes(role));
    const needed = Math.max(0, ...own.map(({ cutLengthNm }) => cutLengthNm));
    const [role = ""] = roles;
    const soldNm = longest(role, choices[name]);
    if (needed <= soldNm) continue;
    const say = (nm: Nanometres) => formatLength(nm, context.system);
    const sawn = sectionOf(context.sections, choices[name]).name;
    const engineered = sectionOf(context.sections, choices.engineeredSection).name;
    const enough = needed <= longest(role, choices.engineeredSection);
    const message = enough
      ? `The longest of the ${words} is ${say(needed)}, and ${sawn} is sold up to ${say(soldNm)}: they are counted in ${engineered}. Have it checked.`
      : `The longest of the ${words} is ${say(needed)}: neither ${sawn} nor ${engineered} is sold so long.`;
    problems.push(problem("past-stock", `choices.${name}`, message));
    if (enough) now = { ...now, [name]: choices.engineeredSection };
  }
  return { choices: now, problems };
}
