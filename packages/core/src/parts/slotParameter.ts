import { z } from "zod";
import type { MeasuringSystem } from "../units";
import type { SlotParameter } from "./slot";
import type { Scalar } from "./use";

type Usual = Readonly<Record<MeasuringSystem, Scalar>>;

/** Usual in either system. */
export const sameInBothSystems = (value: Scalar): Usual => ({ imperial: value, metric: value });

type Shape = Readonly<Record<string, z.ZodType>>;
type Applies<S> = { readonly [K in keyof S]?: SlotParameter["applies"] };

/** Writes the parameters of a slot by the schema of its choices: what can stand for each, and what it is one of, are read from there. */
export const parametersBy =
  <S extends Shape>(shape: S, words: (value: string) => string, applies: Applies<S> = {}) =>
  (name: keyof S & string, label: string, kind: SlotParameter["kind"], usual: Usual, asked = false): SlotParameter => {
    const schema: z.ZodType | undefined = shape[name];
    if (!schema) throw new Error(`parametersBy: there is no choice "${name}"`);
    return {
      name,
      label,
      kind,
      asked,
      usual,
      among: schema instanceof z.ZodEnum ? schema.options.map(String) : undefined,
      words,
      stands: (value) => schema.safeParse(value).success,
      applies: applies[name],
      path: `choices.${name}`,
    };
  };
