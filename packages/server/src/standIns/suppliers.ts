import { createServer, type ServerResponse } from "node:http";
import type { AddressInfo } from "node:net";
import { formatLength, type PriceItem } from "@wide-porch/core";
import { starterPriceList } from "@wide-porch/library";
import express from "express";
import type { StandIn } from "./roofReports";

/** How a supplier's service behaves, until somebody says otherwise on its page. */
export const SUPPLIER_MODES = ["well", "slow", "wrong", "half", "down"] as const;
export type SupplierMode = (typeof SUPPLIER_MODES)[number];

const MODE_WORDS: Readonly<Record<SupplierMode, string>> = {
  well: "Answers as it should",
  slow: "Takes its time: eight seconds",
  wrong: "Sends wrong prices among the right ones",
  half: "Breaks off half-way",
  down: "Does not work",
};
const SLOW_MS = 8000;

type Sent = {
  readonly code: string;
  readonly description: string;
  readonly length: string;
  readonly price: string;
  readonly inStock: number;
};

/** The same every day: what a price has moved by, in percent, out of the letters of its code. */
function movedBy(code: string): number {
  const sum = [...code].reduce((total, letter) => total + letter.charCodeAt(0), 0);
  return sum % 4 === 0 ? 0 : (sum % 11) - 3;
}

const moved = (price: string, code: string): string => (Number(price) * (1 + movedBy(code) / 100)).toFixed(2);

const slug = (supplier: string): string =>
  supplier
    .toLowerCase()
    .replace(/\(invented\)/, "")
    .trim()
    .replaceAll(/[^a-z0-9]+/g, "-");

/** Made-up suppliers of the demo world: those of the starter price list. */
export const SUPPLIERS = [...new Set(starterPriceList.map(({ supplier }) => supplier))]
  .filter(Boolean)
  .toSorted()
  .map((name) => ({ id: slug(name), name }));

function sentOf(item: PriceItem): Sent[] {
  const { buying, name, supplierCode } = item;
  const inStock = (supplierCode.length * 37) % 120;
  const line = (price: string | null, length: string): Sent[] =>
    price === null
      ? []
      : [{ code: supplierCode, description: name, length, price: moved(price, supplierCode), inStock }];
  if (buying.by !== "length") return line(buying.price, "");
  return buying.stock.flatMap(({ lengthNm, price }) => line(price, formatLength(lengthNm, item.system)));
}

/** Slips that real price lists have: a minus, a comma, a price a hundred times too high, a code gone. */
const SLIPS: readonly ((sent: Sent) => Sent)[] = [
  (sent) => ({ ...sent, price: `-${sent.price}` }),
  (sent) => ({ ...sent, price: sent.price.replace(".", ",") }),
  (sent) => ({ ...sent, price: (Number(sent.price) * 100).toFixed(2) }),
  (sent) => ({ ...sent, code: "" }),
];

function pricesOf(supplierId: string, mode: SupplierMode): Sent[] | undefined {
  const supplier = SUPPLIERS.find(({ id }) => id === supplierId);
  if (!supplier) return undefined;
  const sent = starterPriceList.filter((item) => item.supplier === supplier.name).flatMap(sentOf);
  if (mode !== "wrong") return sent;
  return sent.map((each, index) => SLIPS[index % 5]?.(each) ?? each);
}

/** Half of what there is, and then the line is cut. */
function breakOff(response: ServerResponse, text: string): void {
  response.writeHead(200, { "content-type": "application/json", "content-length": Buffer.byteLength(text) });
  response.write(text.slice(0, Math.floor(text.length / 2)), () => response.destroy());
}

const later = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

const page = (mode: SupplierMode): string => `<!doctype html>
<html lang="en"><meta charset="utf-8"><title>Suppliers, a stand-in</title>
<meta name="viewport" content="width=device-width, initial-scale=1">
<body style="font: 18px/1.5 system-ui; max-width: 34rem; margin: 2rem auto; padding: 0 1rem">
<h1>Suppliers, a stand-in</h1>
<p>Made-up suppliers whose prices an office can ask for. How do they answer now?</p>
<form method="post" action="/mode">
${SUPPLIER_MODES.map((each) => `<p><button name="mode" value="${each}"${each === mode ? ' aria-pressed="true"' : ""} style="font: inherit; min-height: 48px">${MODE_WORDS[each]}${each === mode ? " (now)" : ""}</button></p>`).join("\n")}
</form></body></html>`;

/** A small stand-in for suppliers who send their prices. On loopback only. It can be slow, wrong, cut off or down by a press on its page. */
export async function startSuppliers(port = 0): Promise<StandIn> {
  let mode: SupplierMode = "well";
  const app = express();
  app.get("/", (_request, response) => {
    response.type("html").send(page(mode));
  });
  app.post("/mode", express.urlencoded({ extended: false, limit: "1kb" }), (request, response) => {
    mode = SUPPLIER_MODES.find((each) => each === request.body?.mode) ?? mode;
    response.redirect(303, "/");
  });
  app.get("/suppliers", (_request, response) => {
    if (mode === "down") response.status(503).type("text/plain").send("Closed for stocktaking.");
    else response.json(SUPPLIERS);
  });
  app.get("/suppliers/:id/prices", async (request, response) => {
    const answers = mode;
    const prices = pricesOf(request.params.id, answers);
    if (answers === "down") response.status(503).type("text/plain").send("Closed for stocktaking.");
    else if (!prices) response.status(404).type("text/plain").send("There is no such supplier.");
    else if (answers === "half") breakOff(response, JSON.stringify({ prices }));
    else {
      if (answers === "slow") await later(SLOW_MS);
      response.json({ prices });
    }
  });
  const server = createServer(app);
  await new Promise<void>((listening) => server.listen(port, "127.0.0.1", listening));
  const { port: listensAt } = server.address() as AddressInfo;
  return {
    address: `http://127.0.0.1:${listensAt}`,
    stop: () =>
      new Promise((stopped) => {
        server.close(() => stopped());
        server.closeAllConnections();
      }),
  };
}
