import type { FramingRole, StudWall, WorkingSource } from "../..";

type From = readonly WorkingSource[];

/** The figures and choices of the wall that move the count of a role. */
export function sourcesOf(role: FramingRole, wall: StudWall): From {
  const length = { path: "length", label: "Length" };
  const height = { path: "height", label: "Height" };
  const choice = (name: string, label: string) => ({ path: `choices.${name}`, label });
  const each = (field: string, label: string): From =>
    wall.openings.map((opening) => ({ path: `openings.${opening.id}.${field}`, label: `${opening.name}: ${label}` }));
  const widths = each("width", "rough width");
  const heights = each("height", "rough height");
  // A door has no sill to type.
  const sills = each("sill", "sill height").filter((_, index) => wall.openings[index]?.kind !== "door");
  const bearing = choice("bearing", "Bearing");
  const spacing = choice("spacing", "Stud spacing");
  const byRole: Record<FramingRole, From> = {
    "bottom-plate": [length, choice("bottomPlates", "Bottom plates"), ...widths],
    "top-plate": [length, choice("topPlates", "Top plates")],
    "cap-plate": [length, choice("topPlates", "Top plates")],
    stud: [length, height, spacing, ...widths],
    king: [height, ...widths],
    jack: [...widths, ...heights],
    header: [bearing, ...widths],
    "flat-plate": [bearing, ...widths],
    sill: widths,
    "cripple-above": [spacing, bearing, ...widths, ...heights],
    "treated-plate": [length, choice("treatedPlate", "Treated bottom plate"), ...widths],
    "corner-stud": [height, choice("cornerStyle", "Corners")],
    "meeting-stud": [height, choice("meetingStyle", "Where walls meet")],
    "ladder-block": [spacing, choice("meetingStyle", "Where walls meet")],
    "header-packing": [bearing, choice("headerPacking", "Header packed to the wall"), ...widths],
    blocking: [spacing, height, choice("blockingEvery", "Blocking every"), ...widths],
    "cripple-below": [spacing, ...widths, ...sills],
  };
  return byRole[role];
}
