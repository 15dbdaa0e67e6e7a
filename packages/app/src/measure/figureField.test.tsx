import { byRole, leave, press, render, type } from "../testing/render";
import { FigureField } from "./FigureField";

const rate = (value: string, onCommit: (text: string) => void) => (
  <FigureField measure="money" label="Rate for an hour" value={value} onCommit={onCommit} />
);

describe("a figure in a form", () => {
  it("is worked out where it is a sum, and kept as it was typed where it is a figure", () => {
    const onCommit = jest.fn();
    const { host, unmount } = render(rate("46.00", onCommit));
    const box = byRole(host, "textbox", "Rate for an hour");
    type(box, "3 × (12.50 + 2.25)");
    leave(box);
    type(box, "47.50");
    leave(box);
    expect(onCommit.mock.calls).toEqual([["44.25"], ["47.50"]]);
    unmount();
  });

  it("says why it cannot be read, and commits nothing", () => {
    const onCommit = jest.fn();
    const { host, unmount } = render(rate("46.00", onCommit));
    const box = byRole(host, "textbox", "Rate for an hour");
    type(box, "a lot");
    leave(box);
    expect(byRole(host, "alert", "“a lot” is not part of a number.")).toBeTruthy();
    expect(onCommit).not.toHaveBeenCalled();
    unmount();
  });

  it("is typed by the pad's keys while it is typed in, which go when it is left", () => {
    const onCommit = jest.fn();
    const { host, unmount } = render(rate("46", onCommit));
    const box = byRole(host, "textbox", "Rate for an hour");
    type(box, "46");
    const keys = byRole(document.body, "group", "Tape keys");
    for (const name of ["plus", "5"]) press(byRole(keys, "button", name));
    expect(keys.textContent).toContain("= 51.00");
    press(byRole(keys, "button", "Rub out"));
    press(byRole(keys, "button", "2"));
    press(byRole(keys, "button", "Enter"));
    expect(onCommit.mock.calls).toEqual([["48"]]);
    expect(document.querySelector('[aria-label="Tape keys"]')).toBeNull();
    unmount();
  });
});
