import { act } from "react";
import { Text } from "react-native";
import { render } from "../testing/render";
import { PrintPaper } from "./PrintPaper";

const paper = () => document.querySelector(".print-paper");
const say = (what: string) => act(() => void window.dispatchEvent(new Event(what)));

/** The page's own test of whether it is being printed, as a browser has it. */
function printingPage() {
  const listeners = new Set<() => void>();
  const query = {
    matches: false,
    addEventListener: (_: string, listener: () => void) => listeners.add(listener),
    removeEventListener: (_: string, listener: () => void) => listeners.delete(listener),
  };
  Object.assign(window, { matchMedia: () => query });
  const become = (matches: boolean) => {
    query.matches = matches;
    act(() => {
      for (const listener of listeners) listener();
    });
  };
  return { become, listeners };
}

describe("what goes on paper", () => {
  const element = (
    <PrintPaper title="Cut list" under="Lantern House.">
      <Text>1 × 16 ft</Text>
    </PrintPaper>
  );

  it("is on the page only while something prints, with its title and what is under it", () => {
    printingPage();
    const { unmount } = render(element);
    expect(paper()).toBeNull();
    say("beforeprint");
    expect(paper()?.textContent).toBe("Cut listLantern House.1 × 16 ft");
    expect(paper()?.parentElement).toBe(document.body);
    say("afterprint");
    expect(paper()).toBeNull();
    unmount();
  });

  it("follows a browser that tells of printing only by turning the page into a printed one", () => {
    const page = printingPage();
    const { unmount } = render(element);
    page.become(true);
    expect(paper()).not.toBeNull();
    page.become(false);
    expect(paper()).toBeNull();
    unmount();
    expect(page.listeners.size).toBe(0);
  });
});
