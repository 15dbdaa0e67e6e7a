import { AwsClient } from "aws4fetch";
import { HttpProblem } from "../http/problemDetails";
import type { PictureStore } from "./pictureStore";

export type ObjectStoreSettings = {
  /** With the bucket: `https://s3.example.com/porch-photos`. */
  readonly address: string;
  readonly accessKeyId: string;
  readonly secretAccessKey: string;
  readonly region: string;
};

const PATIENCE_MS = 15_000;

/** What it keeps pictures in does not answer: the same can be sent again. */
const noAnswer = (): HttpProblem =>
  new HttpProblem(503, {
    title: "The store of photos does not answer",
    detail: "The photo can be sent again in a moment.",
  });

/** Pictures in a store that speaks the S3 protocol, with requests signed by AWS Signature Version 4. */
export function objectStore({ address, accessKeyId, secretAccessKey, region }: ObjectStoreSettings): PictureStore {
  const client = new AwsClient({ accessKeyId, secretAccessKey, region, service: "s3", retries: 2 });
  const at = (companyId: string, id: string): string =>
    `${address.replace(/\/+$/, "")}/${encodeURIComponent(companyId)}/${encodeURIComponent(id)}`;
  const ask = async (url: string, init: RequestInit): Promise<Response> => {
    try {
      return await client.fetch(url, { ...init, signal: AbortSignal.timeout(PATIENCE_MS) });
    } catch {
      throw noAnswer();
    }
  };
  return {
    put: async (companyId, id, bytes) => {
      const answer = await ask(at(companyId, id), { method: "PUT", body: Buffer.from(bytes) });
      if (!answer.ok) throw noAnswer();
    },
    get: async (companyId, id) => {
      const answer = await ask(at(companyId, id), { method: "GET" });
      if (answer.status === 404) return undefined;
      if (!answer.ok) throw noAnswer();
      return Buffer.from(await answer.arrayBuffer());
    },
    remove: async (companyId, id) => {
      const answer = await ask(at(companyId, id), { method: "DELETE" });
      if (!answer.ok && answer.status !== 404) throw noAnswer();
    },
  };
}
