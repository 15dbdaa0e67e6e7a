import { createHash } from "node:crypto";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { type Assembly, assemblyRecord, priceItemRecord, readStored, standardRecord } from "@wide-porch/core";
import { problemsOf } from "@wide-porch/core/reckoning";
import { starterAssemblies, starterCompanySettings, starterPriceList, starterStandards } from "@wide-porch/library";
import assemblies from "./assemblies.json";
import type { Brought } from "./bring";
import deck from "./deck.json";
import floor from "./floor.json";
import ground from "./ground.json";
import masonry from "./masonry.json";
import roof from "./roof.json";

const ALL: readonly Brought[] = [assemblies, masonry, roof, ground, floor, deck];

/** A file that a migration has brought is never edited: what is new comes by a new one. */
const AS_BROUGHT: Readonly<Record<string, string>> = {
  assemblies: "3ae958af7b744625",
  masonry: "bcadd7bb7145fac6",
  roof: "cba318f52e644716",
  ground: "262ab2dbb2020bbf",
  floor: "108902c21cdd5994",
  deck: "880a87e647db6756",
};

/** Those of old have a way of building of their own, by which their jobs were counted: none is put beside it. */
const OF_NEW_COMPANIES: readonly string[] = ["imperial as-we-build 1", "metric as-we-build 1"];

const versionOf = ({ system, id, version }: { system: string; id: string; version: number }) =>
  `${system} ${id} ${version}`;

describe("what migrations bring", () => {
  it.each(Object.entries(AS_BROUGHT))("%s is as it was brought", (name, expected) => {
    const bytes = readFileSync(join(__dirname, `${name}.json`));
    expect(createHash("sha256").update(bytes).digest("hex").slice(0, 16)).toBe(expected);
  });

  it("is still read: every assembly works, every standard and every item of the price list is one", () => {
    const read = ALL.flatMap((each) => each.assemblies).map((each) => readStored(assemblyRecord, each));
    expect(read.filter(({ ok }) => !ok)).toEqual([]);
    const all = read.flatMap((each): Assembly[] => (each.ok ? [each.value] : []));
    expect(
      all.flatMap((each) => problemsOf(each, all).map(({ message }) => `${each.system} ${each.id}: ${message}`)),
    ).toEqual([]);
    for (const { standards, priceItems } of ALL) {
      expect(standards.filter((each) => !readStored(standardRecord, each).ok)).toEqual([]);
      expect(priceItems.filter((each) => !readStored(priceItemRecord, each).ok)).toEqual([]);
    }
  });

  it("leaves out nothing that a new company starts with: a new starter needs a migration that brings it to the others", () => {
    const brought = (of: (each: Brought) => readonly string[]) => new Set(ALL.flatMap(of));
    const missing = (wanted: readonly string[], had: ReadonlySet<string>) => wanted.filter((each) => !had.has(each));
    expect(
      missing(
        starterAssemblies.map(versionOf),
        brought((each) => each.assemblies.map(versionOf)),
      ),
    ).toEqual([]);
    expect(
      missing(
        starterStandards.map(versionOf),
        brought((each) => each.standards.map(versionOf)),
      ),
    ).toEqual(OF_NEW_COMPANIES);
    expect(
      missing(
        starterPriceList.map(({ code }) => code),
        brought((each) => each.priceItems.map(({ code }) => code)),
      ),
    ).toEqual([]);
    expect(
      missing(
        starterCompanySettings.pricing.tasks.map(({ id }) => id),
        brought((each) => each.tasks.map(({ id }) => id)),
      ),
    ).toEqual([]);
  });
});
