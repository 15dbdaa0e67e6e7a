import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import express from "express";

type MeasuredRoof = Readonly<Record<string, string | number>>;
type MadeReport = {
  readonly id: string;
  readonly title: string;
  readonly made: string;
  readonly roofs: readonly MeasuredRoof[];
};

/** Invented roofs of the demo world, as a measuring service would send them. */
const REPORTS: readonly MadeReport[] = [
  {
    id: "MR-2041",
    title: "The Old Forge, Marlcroft",
    made: "2026-09-02",
    roofs: [
      {
        Roof: "House",
        "Area sq ft": "1,301.13",
        "Pitch in 12": 7,
        "Eaves ft": 79.33,
        "Rakes ft": 64.5,
        "Ridges ft": 39.67,
        "Hips ft": 0,
        "Valleys ft": 0,
        "Headwalls ft": 0,
        "Sidewalls ft": 0,
      },
      {
        Roof: "Lean-to",
        "Area sq ft": 146.4,
        "Pitch in 12": 3,
        "Eaves ft": 16,
        "Rakes ft": 18.2,
        "Ridges ft": 0,
        "Hips ft": 0,
        "Valleys ft": 0,
        "Headwalls ft": 16,
        "Sidewalls ft": 0,
      },
    ],
  },
  {
    id: "MR-2057",
    title: "Quillmoor store",
    made: "2026-10-19",
    roofs: [
      {
        roof: "Store",
        area_m2: 92.4,
        pitch_degrees: 35,
        eaves_m: 21.6,
        verges_m: 15.4,
        ridges_m: 10.8,
        hips_m: 0,
        valleys_m: 0,
      },
    ],
  },
  {
    id: "MR-2063",
    title: "Bramblegate, taken in fog",
    made: "2026-11-05",
    roofs: [{ Roof: "House", "Area sq ft": "not seen", "Pitch in 12": 9, "Eaves ft": 88, "Ridges ft": 41.5 }],
  },
];

const quoted = (text: string): string => (/[",\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);

function csvOf({ roofs }: MadeReport): string {
  const columns = [...new Set(roofs.flatMap((roof) => Object.keys(roof)))];
  const rows = roofs.map((roof) => columns.map((column) => quoted(String(roof[column] ?? ""))).join(","));
  return `${[columns.map(quoted).join(","), ...rows].join("\r\n")}\r\n`;
}

export type StandIn = { readonly address: string; readonly stop: () => Promise<void> };

/** A small stand-in for a service that measures roofs from the air: it lists reports, and sends one as JSON or CSV. On loopback only. */
export async function startRoofReports(): Promise<StandIn> {
  const app = express();
  app.get("/reports", (_request, response) => {
    response.json(REPORTS.map(({ id, title, made }) => ({ id, title, made })));
  });
  app.get("/reports/:name", (request, response) => {
    const [, id, kind] = /^(.+)\.(json|csv)$/.exec(request.params.name) ?? [];
    const report = REPORTS.find((each) => each.id === id);
    if (!report) response.status(404).type("text/plain").send("There is no such report.");
    else if (kind === "csv") response.type("text/csv").send(csvOf(report));
    else response.json({ report: report.id, roofs: report.roofs });
  });
  const server: Server = createServer(app);
  await new Promise<void>((listening) => server.listen(0, "127.0.0.1", listening));
  const { port } = server.address() as AddressInfo;
  return {
    address: `http://127.0.0.1:${port}`,
    stop: () => new Promise((stopped) => server.close(() => stopped())),
  };
}
