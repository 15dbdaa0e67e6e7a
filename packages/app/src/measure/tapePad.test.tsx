import type { FigureSlot } from "@wide-porch/core";
import { byRole, key, press, render, type } from "../testing/render";
import { type Entered, TapePad } from "./TapePad";

const slot = (path: string, label: string, valueNm: number | null, assumed = false): FigureSlot => ({
  path,
  label,
  of: "",
  measure: "length",
  figure: { value: valueNm, typed: "", assumed },
});
const FEET = 304_800_000;
const SLOTS = [slot("length", "Length", null), slot("height", "Height", 8 * FEET, true)];

type Calls = {
  readonly onEnter: jest.Mock<Entered, [string, string]>;
  readonly onMove: jest.Mock;
  readonly onClose: jest.Mock;
};

function padAt(path: string, entered: Entered = {}, slots: readonly FigureSlot[] = SLOTS) {
  const calls: Calls = {
    onEnter: jest.fn<Entered, [string, string]>(() => entered),
    onMove: jest.fn(),
    onClose: jest.fn(),
  };
  const rendered = render(
    <TapePad slots={slots} path={path} system="imperial" readings={["12' 6\""]} partName="Wall 1" {...calls} />,
  );
  const box = byRole(rendered.host, "textbox", slots.find((each) => each.path === path)?.label ?? "");
  return { ...rendered, ...calls, box };
}
const resultOf = (host: HTMLElement) => host.querySelector("#tape-pad-result")?.textContent;

describe("the tape pad", () => {
  it("shows as it is typed what would be stored, or why it cannot be", () => {
    const { host, box, unmount } = padAt("length");
    expect(resultOf(host)).toBe("not measured yet");
    type(box, "12'6 1/2");
    expect(resultOf(host)).toBe("= 12' 6 1/2\"");
    type(box, "16'4 - 3 1/2");
    expect(resultOf(host)).toBe("= 16' 0 1/2\"");
    type(box, "3.81m");
    expect(resultOf(host)).toBe("= 12' 6\"");
    type(box, "12'6 +");
    expect(resultOf(host)).toMatch(/[a-z] [a-z]/);
    unmount();
  });

  it("enters on Enter and goes on to the next figure; with Shift it goes back, and at the last it closes", () => {
    const first = padAt("length");
    type(first.box, "12'");
    key(first.box, "Enter");
    expect(first.onEnter).toHaveBeenCalledWith("length", "12'");
    expect(first.onMove).toHaveBeenCalledWith("height");
    first.unmount();
    const last = padAt("height");
    type(last.box, "9'");
    key(last.box, "Enter", { shiftKey: true });
    expect(last.onMove).toHaveBeenCalledWith("length");
    type(last.box, "9'");
    key(last.box, "Enter");
    expect(last.onClose).toHaveBeenCalledTimes(1);
    last.unmount();
  });

  it("keeps a refused entry in sight with its reason and the value that still stands", () => {
    const problem = { code: "too-low", path: "height", message: 'The plates alone are 4 1/2".' };
    const { host, box, onMove, onClose, unmount } = padAt("height", { problem });
    type(box, "2");
    key(box, "Enter");
    expect(resultOf(host)).toBe('The plates alone are 4 1/2". Still assumed 8\' 0".');
    expect(onMove).not.toHaveBeenCalled();
    expect(onClose).not.toHaveBeenCalled();
    type(box, "8'");
    expect(resultOf(host)).toBe("= 8' 0\"");
    unmount();
  });

  it("confirms an assumed figure by an empty entry, and only passes one that is not measured", () => {
    const assumed = padAt("height");
    key(assumed.box, "Enter");
    expect(assumed.onEnter).toHaveBeenCalledWith("height", "8' 0\"");
    assumed.unmount();
    const missing = padAt("length");
    key(missing.box, "Enter");
    expect(missing.onEnter).not.toHaveBeenCalled();
    expect(missing.onMove).toHaveBeenCalledWith("height");
    missing.unmount();
  });

  it("takes a pitch in any of its four ways, and says it in all", () => {
    const pitch: FigureSlot = { ...slot("pitch", "Pitch", null), measure: "pitch" };
    const { host, box, onEnter, unmount } = padAt("pitch", {}, [pitch]);
    for (const entry of ["6/12", "6 in 12", "26.565051177°", "1:2", "50 %", "6"]) {
      type(box, entry);
      expect(resultOf(host)).toBe("= 6 in 12  ·  26.57°  ·  1:2  ·  50 %");
    }
    for (const name of ["7", "rise in 12"]) press(byRole(host, "button", name));
    type(box, "89°");
    expect(resultOf(host)).toBe("A pitch is from level to 85°. Check which way it is written.");
    type(box, "30°");
    key(box, "Enter");
    expect(onEnter).toHaveBeenCalledWith("pitch", "30°");
    unmount();
  });

  it("types by its keys as by a keyboard, takes an earlier reading, rubs out, and closes on Escape", () => {
    const { host, box, onClose, unmount } = padAt("length");
    for (const name of ["1", "2", "feet", "6", "1/2 inch"]) press(byRole(host, "button", name));
    expect((box as HTMLInputElement).value).toBe("12'6 1/2");
    press(byRole(host, "button", "Rub out"));
    expect((box as HTMLInputElement).value).toBe("12'6");
    press(byRole(host, "button", "Use reading 12' 6\""));
    expect((box as HTMLInputElement).value).toBe("12' 6\"");
    key(box, "Escape");
    expect(onClose).toHaveBeenCalledTimes(1);
    unmount();
  });
});
