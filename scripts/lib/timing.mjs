export const percentile = (values, share) => values.toSorted((a, b) => a - b)[Math.ceil(values.length * share) - 1];

export function report(name, values, aim) {
  const figures = [0.5, 0.95, 1].map((share) => percentile(values, share).toFixed(1));
  console.log(
    `${name.padEnd(52)} median ${figures[0]}  p95 ${figures[1]}  worst ${figures[2]} ms  (aim: p95 under ${aim})`,
  );
}

/** Runs in the page: sets a figure as a keyboard would, and times until the words that follow from it are painted. */
export const timeUntilShown = ({ text, wanted, selector, enter, differs }) =>
  new Promise((done, fail) => {
    const input = document.querySelector("input.pad-entry, .pad-entry");
    const shown = () => [...document.querySelectorAll(selector)].map((each) => each.textContent).join("|");
    // What was there is gone, where what comes is not known beforehand.
    const before = shown();
    const start = performance.now();
    const deadline = setTimeout(() => fail(new Error(`“${wanted}” was not shown; “${shown()}” was`)), 5000);
    const check = () => {
      if (differs ? shown() === before : !shown().includes(wanted)) return;
      observer.disconnect();
      clearTimeout(deadline);
      requestAnimationFrame(() => setTimeout(() => done(performance.now() - start)));
    };
    const observer = new MutationObserver(check);
    observer.observe(document.body, { subtree: true, childList: true, characterData: true });
    if (enter) {
      input.dispatchEvent(new KeyboardEvent("keydown", { key: "Enter", bubbles: true, cancelable: true }));
    } else {
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set.call(input, text);
      input.dispatchEvent(new Event("input", { bubbles: true }));
    }
    check();
  });
