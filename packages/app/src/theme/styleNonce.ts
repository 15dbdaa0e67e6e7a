import { setNonce } from "get-nonce";

/** What may write a style into the page says the page's own nonce with it, as its header asks: the sheets that rise lock the page behind them. */
export function takeStyleNonce(): void {
  if (typeof document === "undefined") return;
  const nonce = document.querySelector('meta[name="style-nonce"]')?.getAttribute("content");
  if (nonce) setNonce(nonce);
}
