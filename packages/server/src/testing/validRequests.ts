import { randomUUID } from "node:crypto";
import type { Part } from "@wide-porch/core";

/** Asks the API as somebody who is signed in; resolves to the body of the answer. */
export type AskAs = (method: string, path: string, body?: unknown) => Promise<unknown>;

/** A request that fits its endpoint: what stands for the parameters in its path, and the body. */
export type ValidRequest = { readonly params: Readonly<Record<string, string>>; readonly body?: unknown };

// biome-ignore lint/suspicious/noExplicitAny: answers of the API, read by tests
type Answer = any;

/** The smallest PNG there is: one pixel. */
export const ONE_PIXEL = Buffer.from(
  "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==",
  "base64",
);

/** What fits every endpoint, made of what the company of `ask` has: a job with parts, quotes and photos, a person, an invitation. */
export async function validRequests(ask: AskAs): Promise<ReadonlyMap<string, ValidRequest>> {
  const get = (path: string): Promise<Answer> => ask("GET", path);
  const { items: jobs } = await get("/jobs?find=Lantern");
  const jobId: string = jobs[0].id;
  const full = await get(`/jobs/${jobId}`);
  const [first] = full.parts as { id: string; revision: number; part: Part }[];
  if (!first) throw new Error("validRequests: the job has no parts");
  const { items: quotes } = await get(`/jobs/${jobId}/quotes`);
  const { items: prices } = await get("/price-list");
  const { items: assemblies } = await get("/assemblies");
  const { items: standards } = await get("/standards");
  const item = prices[0];
  const { assembly } = assemblies[0];
  const { standard } = standards[0];
  const invite = { name: "Asked In", email: `${randomUUID()}@puddock.example`, role: "crew" };
  const invited: Answer = await ask("POST", "/invitations", invite);
  const { items: people } = await get("/people");
  const { items: devices } = await get("/account/sessions");
  const other = people.find((each: { role: string }) => each.role === "crew");
  const photoId = randomUUID();
  const file = await get(`/jobs/${jobId}/file`);
  const batch: Answer = await ask("POST", "/price-batches", {
    fromWhere: "a file",
    changes: [{ baseRevision: 0, item: { ...item.item, code: `valid/${randomUUID().slice(0, 8)}` } }],
  });
  const start = { title: "T", customerName: "C", site: "", system: "metric", currency: "GBP" };
  const spare: Answer = await ask("POST", "/jobs", start);
  const layout = { name: "By part", keys: [], columns: [], sort: null };
  const token = "no-token-that-anybody-has";
  const words = "wet rope and shovel";
  const job = { jobId };
  const part = { ...job, partId: first.id };
  const own = { system: assembly.system, id: assembly.id };
  const command = { commandId: randomUUID(), ageMs: 0 };
  const company = { companyName: "Valid", name: "V", email: `${randomUUID()}@valid.example`, password: words };

  const requests: Readonly<Record<string, ValidRequest>> = {
    "post /session": { params: {}, body: { email: "nobody@valid.example", password: "guess" } },
    "post /companies": { params: {}, body: { ...company, system: "metric", currency: "GBP", timeZone: "UTC" } },
    "post /forgotten": { params: {}, body: { email: "nobody@valid.example" } },
    "post /invitation": { params: {}, body: { token } },
    "post /invitation/accept": { params: {}, body: { token, name: "N", password: words } },
    "post /confirm": { params: {}, body: { token } },
    "post /account/second-factor": { params: {}, body: { password: "guess" } },
    "post /account/second-factor/confirm": { params: {}, body: { code: "123456" } },
    "post /account/second-factor/recovery-codes": { params: {}, body: { password: "guess" } },
    "post /account/second-factor/off": { params: {}, body: { password: "guess", code: "123456" } },
    "delete /people/:id/second-factor": { params: { id: other.id } },
    "patch /company/safety": { params: {}, body: { idleHours: 300 } },
    "get /company/file/:name": { params: { name: "people" } },
    "post /jobs/:jobId/bin": { params: { jobId: spare.id }, body: { commandId: randomUUID() } },
    "post /jobs/:jobId/restore": { params: { jobId: spare.id }, body: { commandId: randomUUID() } },
    "post /new-password": { params: {}, body: { token, password: words } },
    "patch /account": { params: {}, body: { name: "A name" } },
    "post /account/password": { params: {}, body: { password: "guess", next: words } },
    "delete /account/sessions/:id": { params: { id: devices[0].id } },
    "patch /people/:id": { params: { id: other.id }, body: { role: "crew" } },
    "delete /people/:id/sessions": { params: { id: other.id } },
    "post /people/:id/erase": { params: { id: other.id } },
    "post /invitations": { params: {}, body: { ...invite, email: `${randomUUID()}@valid.example` } },
    "delete /invitations/:id": { params: { id: invited.invitation.id } },
    "patch /company": { params: {}, body: { address: "A street", profile: { phone: "555" } } },
    "put /company/mark": { params: {}, body: ONE_PIXEL },
    "get /company/marks/:id": { params: { id: randomUUID() } },
    "post /jobs": { params: {}, body: start },
    "get /jobs/:jobId": { params: job },
    "get /jobs/:jobId/changes": { params: job },
    "get /jobs/:jobId/prices": { params: job },
    "get /jobs/:jobId/counts": { params: job },
    "get /jobs/:jobId/price": { params: job },
    "get /jobs/:jobId/total": { params: job },
    "get /jobs/:jobId/file": { params: job },
    "get /jobs/:jobId/quotes": { params: job },
    "get /jobs/:jobId/quote-draft": { params: job },
    "get /jobs/:jobId/quote-draft.pdf": { params: job },
    "get /jobs/:jobId/quotes/:quoteId/pdf": { params: { ...job, quoteId: quotes[0].id } },
    "get /jobs/:jobId/quotes/:quoteId/inputs": { params: { ...job, quoteId: quotes[0].id } },
    "post /jobs/:jobId/quotes": { params: job, body: { commandId: randomUUID() } },
    "patch /jobs/:jobId": {
      params: job,
      body: { commandId: randomUUID(), baseRevision: full.job.revision, changes: { site: "Elsewhere" } },
    },
    "post /jobs/:jobId/copies": {
      params: job,
      body: { title: "Copy", customerName: "C", site: "", partIds: null, shelf: "open", typed: false },
    },
    "put /jobs/:jobId/parts/:partId": {
      params: part,
      body: { ...command, baseRevision: first.revision, part: { ...first.part, notes: "seen" } },
    },
    "post /jobs/:jobId/parts/:partId/bin": {
      params: part,
      body: { ...command, commandId: randomUUID(), baseRevision: first.revision },
    },
    "post /jobs/:jobId/parts/:partId/set-aside": {
      params: part,
      body: { ...command, commandId: randomUUID(), part: first.part },
    },
    "get /jobs/:jobId/parts/:partId/history": { params: part },
    "put /jobs/:jobId/photos/:photoId": { params: { ...job, photoId }, body: ONE_PIXEL },
    "get /jobs/:jobId/photos/:photoId": { params: { ...job, photoId } },
    "post /job-files": { params: {}, body: file },
    "put /price-list/:code": {
      params: { code: item.item.code },
      body: { baseRevision: item.revision, item: item.item },
    },
    "post /price-list": { params: {}, body: { item: { ...item.item, code: `made/${randomUUID().slice(0, 8)}` } } },
    "get /price-list/:code/history": { params: { code: item.item.code } },
    "post /price-batches": {
      params: {},
      body: { fromWhere: "a file", changes: [{ baseRevision: 0, item: { ...item.item, code: "valid/another" } }] },
    },
    "post /price-batches/:id/undo": { params: { id: batch.id } },
    "put /assemblies/:system/:id": { params: own, body: { baseVersion: assembly.version, assembly } },
    "patch /assemblies/:system/:id": { params: own, body: { retired: false } },
    "get /assemblies/:system/:id/versions/:version": { params: { ...own, version: String(assembly.version) } },
    "put /standards/:system/usual": { params: { system: standard.system }, body: { id: standard.id } },
    "put /standards/:system/:id": {
      params: { system: standard.system, id: standard.id },
      body: { baseVersion: standard.version, standard },
    },
    "put /worksheet-layouts/:name": { params: { name: "By part" }, body: layout },
    "delete /worksheet-layouts/:name": { params: { name: "By part" } },
    "put /report-columns": { params: {}, body: { shape: "area|pitch", match: {} } },
    "get /roof-reports/:id": { params: { id: "MR-2041" } },
    "get /suppliers/:id/prices": { params: { id: "marlcroft-timber-yard" } },
  };
  return new Map(Object.entries(requests));
}

/** The path of a request under `/api/v1`, its parameters put in. */
export const pathOf = (path: string, params: Readonly<Record<string, string>>): string =>
  path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? "none"));
