import { byRole, leave, press, render, type } from "../testing/render";
import { PercentRows, type Row } from "./PercentRows";

const options = [
  { value: "timber/", label: "All of “Timber”" },
  { value: "nail/8d", label: "Nails 8d" },
];

function shown(rows: readonly Row[]) {
  const onChange = jest.fn();
  const { host } = render(
    <PercentRows
      title="Waste"
      words="By item."
      rows={rows}
      options={options}
      usual={10}
      least={0}
      most={100}
      onChange={onChange}
    />,
  );
  return { host, onChange };
}

describe("rows of percentages", () => {
  it("begin with what has no row yet, at the usual figure", () => {
    const { host, onChange } = shown([{ key: "timber/", percent: 7.5 }]);
    press(byRole(host, "button", "Add a line to Waste"));
    expect(onChange).toHaveBeenCalledWith([
      { key: "timber/", percent: 7.5 },
      { key: "nail/8d", percent: 10 },
    ]);
  });

  it("end where everything has its row", () => {
    const { host } = shown(options.map(({ value }) => ({ key: value, percent: 5 })));
    expect(() => byRole(host, "button", "Add a line to Waste")).toThrow("no button");
  });

  it("take a figure with a comma or a sign, up to the limit itself", () => {
    const { host, onChange } = shown([{ key: "timber/", percent: 7.5 }]);
    const field = byRole(host, "textbox", "Waste: All of “Timber”");
    type(field, "12,5 %");
    leave(field);
    expect(onChange).toHaveBeenLastCalledWith([{ key: "timber/", percent: 12.5 }]);
    type(field, "100");
    leave(field);
    expect(onChange).toHaveBeenLastCalledWith([{ key: "timber/", percent: 100 }]);
  });

  it.each([
    ["", "A percentage from 0 to 100."],
    ["-1", "A percentage from 0 to 100."],
    ["100.1", "A percentage from 0 to 100."],
    ["60 + 60", "A percentage from 0 to 100."],
    ["ten", "“ten” is not part of a number."],
    ["Infinity", "“infinity” is not part of a number."],
  ])("do not take “%s”, and say why: %s", (typed, why) => {
    const { host, onChange } = shown([{ key: "timber/", percent: 7.5 }]);
    const field = byRole(host, "textbox", "Waste: All of “Timber”");
    type(field, typed);
    leave(field);
    expect(onChange).not.toHaveBeenCalled();
    expect(host.textContent).toContain(why);
  });

  it("keep what is no longer in the price list, under its own code, and are taken out one by one", () => {
    const { host, onChange } = shown([
      { key: "gone/item", percent: 3 },
      { key: "nail/8d", percent: 4 },
    ]);
    press(byRole(host, "button", "Take out Waste: gone/item"));
    expect(onChange).toHaveBeenCalledWith([{ key: "nail/8d", percent: 4 }]);
  });
});
