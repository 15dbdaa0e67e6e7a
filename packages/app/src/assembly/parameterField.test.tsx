import type { AssemblyParameter } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import { byRole, leave, press, render, type } from "../testing/render";
import { ParameterField } from "./ParameterField";
import { optionsOf, readValue, textOf } from "./parameterText";

const parameter = (changes: Partial<AssemblyParameter>): AssemblyParameter => ({
  name: "spacing",
  label: "Spacing",
  kind: "length",
  default: 406_400_000,
  ...changes,
});
const fieldFor = (each: AssemblyParameter, value: AssemblyParameter["default"], onChange: (value: unknown) => void) => (
  <ParameterField
    parameter={each}
    value={value}
    assumed={false}
    system="imperial"
    books={library}
    onChange={onChange}
  />
);

describe("what can be chosen for a parameter", () => {
  it("is yes or no, the choices it has, or the studs of the system", () => {
    const labels = (each: AssemblyParameter, system: "imperial" | "metric" = "imperial") =>
      optionsOf(each, system, library)?.map((option) => option.label);
    expect(labels(parameter({ kind: "yes-no", default: true }))).toEqual(["Yes", "No"]);
    expect(labels(parameter({ choices: [{ value: 1, label: "One" }] }))).toEqual(["One"]);
    expect(labels(parameter({ kind: "section", default: "2x4" }))).toEqual(["2 × 4", "2 × 6"]);
    expect(labels(parameter({ kind: "section", default: "38x89" }), "metric")?.[0]).toMatch(/38 × 89/);
    expect(labels(parameter({ kind: "number", default: 2 }))).toBeUndefined();
  });
});

describe("what is typed for a parameter", () => {
  it.each<[AssemblyParameter["kind"], string, unknown]>([
    ["length", "16", { value: 406_400_000 }],
    ["length", "16 in", { value: 406_400_000 }],
    ["length", "2'", { value: 609_600_000 }],
    ["length", "400 mm", { value: 400_000_000 }],
    ["number", "0.5", { value: 0.5 }],
    ["area", "12", { value: 12 }],
  ])("a %s of “%s”", (kind, text, wanted) => {
    expect(readValue({ kind }, text, "imperial")).toEqual(wanted);
  });

  it.each<[AssemblyParameter["kind"], string]>([
    ["length", "wide"],
    ["number", "three"],
    ["number", "  "],
    ["area", ""],
  ])("a %s of “%s” is refused in words", (kind, text) => {
    expect(readValue({ kind }, text, "imperial")).toEqual({ problem: expect.stringMatching(/\w+ \w+/) });
  });

  it("is said as it would be typed, a choice by its name", () => {
    expect(textOf(parameter({}), 406_400_000, "imperial")).toBe("16 in");
    expect(textOf(parameter({}), 400_000_000, "metric")).toBe("400 mm");
    expect(textOf(parameter({ choices: [{ value: 0, label: "None" }] }), 0, "imperial")).toBe("None");
    expect(textOf(parameter({ kind: "yes-no" }), false, "imperial")).toBe("No");
    expect(textOf(parameter({ kind: "number" }), 2.5, "imperial")).toBe("2.5");
  });
});

describe("a parameter's field", () => {
  it("takes a value within its limits, and says which limit another breaks", () => {
    const onChange = jest.fn();
    const bounded = parameter({ kind: "number", default: 2, least: 1, most: 3, label: "Layers" });
    const { host, unmount } = render(fieldFor(bounded, 2, onChange));
    const box = byRole(host, "textbox", "Layers");
    type(box, "7");
    leave(box);
    expect(host.textContent).toContain("Layers is 7; it is at most 3.");
    expect(onChange).not.toHaveBeenCalled();
    type(box, "3");
    leave(box);
    expect(onChange).toHaveBeenCalledWith(3);
    unmount();
  });

  it("offers a value from elsewhere beside its choices", () => {
    const onChange = jest.fn();
    const few = parameter({ choices: [{ value: 406_400_000, label: "16 in" }] });
    const { host, unmount } = render(fieldFor(few, 508_000_000, onChange));
    expect(byRole(host, "radio", "Spacing: 20 in").getAttribute("aria-checked")).toBe("true");
    press(byRole(host, "radio", "Spacing: 16 in"));
    expect(onChange).toHaveBeenCalledWith(406_400_000);
    unmount();
  });
});
