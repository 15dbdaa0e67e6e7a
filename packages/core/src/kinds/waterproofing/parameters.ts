import { z } from "zod";
import { choicesInForce, choicesSlot, type WithChoices } from "../../parts/choicesSlot";
import type { Slot, SlotParameter } from "../../parts/slot";
import { parametersBy, sameInBothSystems } from "../../parts/slotParameter";
import { type MeasuringSystem, millimetres } from "../../units";

export const DRY_WAYS = ["none", "membrane", "slurry"] as const;
export type DryWay = (typeof DRY_WAYS)[number];

const coats = z.int().min(1).max(6);

/** How walls and floor are kept dry: what its drawing shows is what is chosen here. */
export const waterproofingChoicesSchema = z.object({
  wallsBy: z.enum(DRY_WAYS),
  floorBy: z.enum(DRY_WAYS),
  wallCoats: coats,
  floorCoats: coats,
  primer: z.boolean(),
  /** On the floor; 0 for none. */
  floorInsulation: z.union([z.literal(0), z.int().min(millimetres(10)).max(millimetres(400))]),
  channel: z.boolean(),
});
export type WaterproofingChoices = z.infer<typeof waterproofingChoicesSchema>;

const WORDS: Readonly<Record<string, string>> = {
  none: "Left as it is",
  membrane: "Studded membrane",
  slurry: "Brushed slurry",
};

const by =
  (name: string, ...ways: readonly DryWay[]): NonNullable<SlotParameter["applies"]> =>
  (others) =>
    ways.some((way) => way === others.get(name));
const slurried = (others: ReadonlyMap<string, unknown>): boolean =>
  others.get("wallsBy") === "slurry" || others.get("floorBy") === "slurry";

const of = parametersBy(waterproofingChoicesSchema.shape, (value) => WORDS[value] ?? value, {
  wallCoats: by("wallsBy", "slurry"),
  floorCoats: by("floorBy", "slurry"),
  primer: slurried,
});

export const WATERPROOFING_PARAMETERS: readonly SlotParameter[] = [
  of("wallsBy", "Walls", "choice", sameInBothSystems("membrane"), true),
  of("floorBy", "Floor", "choice", sameInBothSystems("membrane"), true),
  of("wallCoats", "Coats on walls", "number", sameInBothSystems(2), true),
  of("floorCoats", "Coats on the floor", "number", sameInBothSystems(2), true),
  of("primer", "Primer under slurry", "yes-no", sameInBothSystems(true), true),
  of("floorInsulation", "Insulation on the floor", "length", sameInBothSystems(0), true),
  of("channel", "Drainage channel round the floor", "yes-no", sameInBothSystems(true), true),
];

export const usualWaterproofing = (system: MeasuringSystem): WaterproofingChoices =>
  waterproofingChoicesSchema.parse(
    Object.fromEntries(WATERPROOFING_PARAMETERS.map(({ name, usual }) => [name, usual?.[system]])),
  );

/** The choices in force; the usual ones while nothing has been settled. */
export const waterproofingChoicesOf = choicesInForce<WaterproofingChoices>({
  parameters: WATERPROOFING_PARAMETERS,
  usual: usualWaterproofing,
});

export const waterproofingSlot = <P extends WithChoices<WaterproofingChoices>>(): Slot<P> =>
  choicesSlot<WaterproofingChoices, P>({
    id: "waterproofing",
    question: "How is this kept dry?",
    words: "Kept dry by this assembly",
    changeWords: "Change the assembly that keeps it dry",
    moreWords: "products, allowances, laps, spacing, hours",
    parameters: WATERPROOFING_PARAMETERS,
    read: (values) => waterproofingChoicesSchema.parse(values),
    usual: usualWaterproofing,
  });
