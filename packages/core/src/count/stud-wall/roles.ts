import type { FramingRole } from "../../parts";

type RoleWords = {
  readonly name: string;
  readonly sentence: string;
  readonly source?: string;
};

/** What each role of a stud wall is called and why it is there. */
export const ROLE_WORDS: Record<FramingRole, RoleWords> = {
  "bottom-plate": {
    name: "Bottom plates",
    sentence:
      "One run for each bottom plate, left out where an opening reaches the floor, spliced at the longest stock.",
  },
  "top-plate": {
    name: "Top plates",
    sentence: "One run along the wall, spliced at the longest stock.",
  },
  "cap-plate": {
    name: "Cap plates",
    sentence: "A further run on the top plate; its joints keep clear of the joints below.",
    source: "IRC R602.3.2: end joints offset at least 24 in",
  },
  stud: {
    name: "Studs",
    sentence: "One at each end and one on each layout position from the left end, less those an opening takes.",
    source: "Common practice",
  },
  king: {
    name: "King studs",
    sentence:
      "One outside the jacks on each side of an opening. An end stud or a neighbour's king that stands there serves.",
  },
  jack: {
    name: "Jack studs",
    sentence: "Under the head on each side of an opening; two a side over 6 ft (1.83 m) wide.",
    source: "Common practice",
  },
  header: {
    name: "Headers",
    sentence:
      "The wall bears, so each opening has a header over its jacks, by the schedule. The size is the builder's or the engineer's to confirm.",
    source: "Header schedule: common practice, assumed until confirmed",
  },
  "flat-plate": {
    name: "Flat plates over openings",
    sentence: "The wall does not bear, so a plate laid flat closes each opening at its head.",
  },
  sill: { name: "Rough sills", sentence: "One under each opening that does not reach the floor." },
  "cripple-above": {
    name: "Cripples above openings",
    sentence: "On the layout positions over each opening, where there is room.",
  },
  "cripple-below": {
    name: "Cripples below sills",
    sentence: "On the layout positions under each sill.",
  },
};
