import { act, type ReactElement } from "react";
import { createRoot } from "react-dom/client";

// React warns of every change outside of `act` unless it is told that this is a test.
Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });

export type Rendered = {
  readonly host: HTMLElement;
  readonly rerender: (element: ReactElement) => void;
  readonly unmount: () => void;
};

/** Puts an element on the page, as the browser would have it. */
export function render(element: ReactElement): Rendered {
  const host = document.createElement("div");
  document.body.append(host);
  const root = createRoot(host);
  act(() => root.render(element));
  return {
    host,
    rerender: (next) => act(() => root.render(next)),
    unmount: () => {
      act(() => root.unmount());
      host.remove();
    },
  };
}

/** What an element is called: by its label, what labels it, or what it says. */
function nameOf(element: Element): string {
  const labelledBy = element.getAttribute("aria-labelledby");
  const label = labelledBy ? document.getElementById(labelledBy)?.textContent : undefined;
  return element.getAttribute("aria-label") ?? label ?? element.textContent ?? "";
}

const SELECTORS: Readonly<Record<string, string>> = {
  textbox: "input, textarea",
  button: 'button, [role="button"]',
};

/** The one element of a role and a name. Throws where there is none, with those there are. */
export function byRole(host: HTMLElement, role: string, name: string | RegExp): HTMLElement {
  const all = [...host.querySelectorAll<HTMLElement>(SELECTORS[role] ?? `[role="${role}"]`)];
  const fits = (text: string) => (typeof name === "string" ? text === name : name.test(text));
  const found = all.find((element) => fits(nameOf(element)));
  if (!found) throw new Error(`byRole: no ${role} “${name}” among ${all.map(nameOf).join(" | ")}`);
  return found;
}

export const press = (element: HTMLElement): void => act(() => element.click());

/** Types into a field, as a keyboard would. */
export function type(field: HTMLElement, text: string): void {
  if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement)) {
    throw new Error(`type: ${field.tagName} is no field`);
  }
  const prototype = Object.getPrototypeOf(field);
  act(() => {
    field.focus();
    Object.getOwnPropertyDescriptor(prototype, "value")?.set?.call(field, text);
    field.dispatchEvent(new Event("input", { bubbles: true }));
  });
}

export const key = (field: HTMLElement, name: string, more: KeyboardEventInit = {}): void =>
  act(() => {
    field.dispatchEvent(new KeyboardEvent("keydown", { key: name, bubbles: true, cancelable: true, ...more }));
  });

export const leave = (field: HTMLElement): void => act(() => field.blur());
