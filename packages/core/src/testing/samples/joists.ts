import { deckKind } from "../../kinds/deck";
import { flatRoofKind } from "../../kinds/flat-roof";
import { floorKind } from "../../kinds/floor";
import { feet } from "../../units";
import { deckOf, flatRoofOf, floorOf, floorOpeningOf, spotOf, stairOf, supportOf } from "../joists";
import { measured } from "./said";
import { sampled } from "./sampled";

/** Floors, flat roofs and decks. */
export const joists = [
  sampled(floorKind, [
    {
      system: "imperial",
      part: floorOf(
        "imperial",
        { "edges.a.length": "24'", "edges.b.length": "20'", standing: "9'" },
        {
          openings: [floorOpeningOf("imperial", { along: "5'", off: "2'", length: "9'", width: "3'4" })],
          supports: [supportOf("imperial", "beam", "10'")],
          doubled: [{ id: "d", at: measured(feet(18)) }],
          bears: { c: "ledger" },
          choices: { overSupport: "in-line" },
        },
      ),
      mirrored: (floor) => ({
        ...floor,
        openings: floor.openings.map((each) => ({ ...each, along: measured(feet(24 - 5 - 9)) })),
        doubled: [{ id: "d", at: measured(feet(6)) }],
        choices: { ...floor.choices, layoutFrom: "end", panelCorner: "end-near" },
      }),
    },
    {
      system: "metric",
      part: floorOf(
        "metric",
        { "edges.a.length": "4.8 m", "edges.b.length": "3.6 m" },
        { choices: { blockKind: "struts" } },
      ),
    },
  ]),
  sampled(flatRoofKind, [
    {
      system: "metric",
      part: flatRoofOf(
        "metric",
        {
          "edges.a.length": "5.1 m",
          "edges.b.length": "4.2 m",
          "edges.b.overhang": "0.3 m",
          "edges.c.overhang": "0.3 m",
          drip: "9 m",
        },
        { walls: ["a", "d"], choices: { edgesBear: "hangers" } },
      ),
      mirrored: (roof) => {
        const [a, b, c, d] = roof.edges;
        if (!a || !b || !c || !d) return roof;
        return {
          ...roof,
          edges: [a, { ...d, id: "b" }, c, { ...b, id: "d" }],
          choices: { ...roof.choices, layoutFrom: "end", panelCorner: "end-near" },
        };
      },
    },
  ]),
  sampled(deckKind, [
    {
      system: "imperial",
      part: deckOf(
        "imperial",
        { "edges.a.length": "16'", "edges.b.length": "8'", rise: "3'" },
        {
          stairs: [stairOf("imperial", { along: "2'", width: "4'", rise: "2'8" })],
          spots: [spotOf("imperial", "hold-down", ["1'", "1'"])],
        },
      ),
      mirrored: (deck) => ({
        ...deck,
        stairs: deck.stairs.map((each) => ({ ...each, along: measured(feet(16 - 2 - 4)) })),
        spots: deck.spots.map((each) => ({ ...each, along: measured(feet(15)) })),
        choices: { ...deck.choices, layoutFrom: "end" },
      }),
    },
    {
      system: "metric",
      part: deckOf(
        "metric",
        { "edges.a.length": "4.8 m", "edges.b.length": "3.2 m", rise: "1 m" },
        { choices: { lastBoard: "opened", frameBoards: 2 } },
      ),
    },
  ]),
];
