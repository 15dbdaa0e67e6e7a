import { byRole, key, leave, press, render, type } from "../testing/render";
import { Choice } from "./Choice";
import { CommitField } from "./CommitField";

const SIZES = [
  { value: "2x4", label: "2 × 4" },
  { value: "2x6", label: "2 × 6" },
];

describe("a choice of a few", () => {
  it("says which stands, and gives the one that is pressed", () => {
    const onChange = jest.fn();
    const { host, unmount } = render(<Choice label="Stud size" options={SIZES} value="2x4" onChange={onChange} />);
    expect(byRole(host, "radiogroup", "Stud size")).toBeTruthy();
    expect(byRole(host, "radio", "Stud size: 2 × 4").getAttribute("aria-checked")).toBe("true");
    expect(byRole(host, "radio", "Stud size: 2 × 6").getAttribute("aria-checked")).toBe("false");
    press(byRole(host, "radio", "Stud size: 2 × 6"));
    expect(onChange).toHaveBeenCalledWith("2x6");
    unmount();
  });

  it("says in words that nobody has confirmed it, and a press on what stands confirms it", () => {
    const onChange = jest.fn();
    const { host, unmount } = render(
      <Choice label="Bearing" options={[{ value: true, label: "Yes" }]} value={true} assumed onChange={onChange} />,
    );
    expect(host.textContent).toContain("assumed, press to confirm");
    press(byRole(host, "radio", "Bearing: Yes, assumed"));
    expect(onChange).toHaveBeenCalledWith(true);
    unmount();
  });
});

describe("a field that saves itself", () => {
  const whole = (text: string) => (/^\d+$/.test(text) ? undefined : "A whole number.");
  const field = (value: string, onCommit: (text: string) => void) => (
    <CommitField label="How many" value={value} check={whole} onCommit={onCommit} />
  );

  it("commits when it is left, without the spaces round it, and not what it held already", () => {
    const onCommit = jest.fn();
    const { host, unmount } = render(field("3", onCommit));
    const box = byRole(host, "textbox", "How many");
    type(box, " 12 ");
    leave(box);
    expect(onCommit).toHaveBeenCalledWith("12");
    type(box, "3");
    leave(box);
    expect(onCommit).toHaveBeenCalledTimes(1);
    unmount();
  });

  it("keeps what cannot be taken, says why, and lets go of the reason when it is mended", () => {
    const onCommit = jest.fn();
    const { host, unmount } = render(field("3", onCommit));
    const box = byRole(host, "textbox", "How many");
    type(box, "a dozen");
    leave(box);
    expect(onCommit).not.toHaveBeenCalled();
    expect(byRole(host, "alert", "A whole number.")).toBeTruthy();
    expect(box.getAttribute("aria-invalid")).toBe("true");
    expect((box as HTMLInputElement).value).toBe("a dozen");
    type(box, "12");
    leave(box);
    expect(onCommit).toHaveBeenCalledWith("12");
    expect(host.querySelector('[role="alert"]')).toBeNull();
    unmount();
  });

  it("commits on Enter, and shows a value that came from elsewhere", () => {
    const onCommit = jest.fn();
    const { host, rerender, unmount } = render(field("3", onCommit));
    const box = byRole(host, "textbox", "How many");
    type(box, "7");
    key(box, "Enter");
    leave(box);
    expect(onCommit).toHaveBeenCalledWith("7");
    rerender(field("9", onCommit));
    expect((box as HTMLInputElement).value).toBe("9");
    unmount();
  });
});
