import type { DataSource } from "typeorm";
import { z } from "zod";
import type { Config } from "../config";
import { inTransaction } from "../database/dataSource";
import { type Endpoint, endpoint } from "../http/endpoint";
import { notFound, unfit } from "../http/problemDetails";
import { Reply } from "../http/reply";
import { jobOf, lockJob } from "../jobs/store";
import type { Services } from "../services";
import { photoEntity } from "./entity";
import { bytesOf, keepPhoto, readPicture } from "./store";

function requireUuid(id: string): string {
  if (z.uuid().safeParse(id).success) return id;
  throw unfit([{ code: "id", path: "id", message: "A photo's id is a UUID." }]);
}

export const photoEndpoints = (
  dataSource: DataSource,
  { quotas }: Pick<Config, "quotas">,
  { pictures }: Services,
): Endpoint[] => [
  endpoint({
    method: "put",
    path: "/jobs/:jobId/photos/:photoId",
    access: "signed-in",
    summary:
      "Keep a photo: the picture's bytes as the body, JPEG, PNG or WebP of at most 8 MB. Sent twice it is kept once",
    status: 200,
    lane: "reckoning",
    bodyOf: "picture",
    answer: z.object({ id: z.string(), widthPx: z.int(), heightPx: z.int() }),
    handle: async ({ user, param, received }) => {
      const id = requireUuid(param("photoId"));
      const picture = await readPicture(received.body);
      return inTransaction(dataSource, async (manager) => {
        const job = await lockJob(manager, user.companyId, param("jobId"));
        const at = { id, companyId: user.companyId, jobId: job.id, userId: user.id };
        await keepPhoto(manager, at, picture, { store: pictures, quotas });
        return { id, widthPx: picture.widthPx, heightPx: picture.heightPx };
      });
    },
  }),
  endpoint({
    method: "get",
    path: "/jobs/:jobId/photos/:photoId",
    access: "signed-in",
    summary: "A photo. It never changes under its id",
    status: 200,
    lane: "records",
    contentType: "image/jpeg",
    handle: async ({ user, param }) => {
      const { companyId } = user;
      const job = await jobOf(dataSource, companyId, param("jobId"));
      const photo = await dataSource
        .getRepository(photoEntity)
        .findOneBy({ id: param("photoId"), companyId, jobId: job.id });
      const bytes = photo && (await bytesOf(photo, pictures));
      if (!photo || !bytes) throw notFound("photo");
      return new Reply(bytes, { contentType: photo.contentType });
    },
  }),
];
