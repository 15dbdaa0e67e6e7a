import type { PHOTO_TYPES } from "@wide-porch/core";
import { EntitySchema } from "typeorm";

/** A picture of a part, as the device made it small. Its id is the device's own. */
export type PhotoRow = {
  id: string;
  companyId: string;
  jobId: string;
  contentType: (typeof PHOTO_TYPES)[number];
  widthPx: number;
  heightPx: number;
  /** Null where they lie in a store of their own. */
  bytes: Buffer | null;
  /** How much room it takes, wherever it lies. */
  byteLength: number;
  createdAt: Date;
  createdBy: string;
};

export const photoEntity = new EntitySchema<PhotoRow>({
  name: "photo",
  columns: {
    id: { type: "char", length: 36, primary: true },
    companyId: { type: "char", length: 36 },
    jobId: { type: "char", length: 36 },
    contentType: { type: "varchar", length: 40 },
    widthPx: { type: "int" },
    heightPx: { type: "int" },
    bytes: { type: "mediumblob", nullable: true },
    byteLength: { type: "int" },
    createdAt: { type: "datetime", precision: 3 },
    createdBy: { type: "char", length: 36 },
  },
});
