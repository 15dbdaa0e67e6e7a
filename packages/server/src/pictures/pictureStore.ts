/** Where the bytes of photos lie. A picture never changes under its id: put again it is the same. */
export type PictureStore = {
  /** Resolves once it would outlive a power cut. */
  readonly put: (companyId: string, id: string, bytes: Uint8Array) => Promise<void>;
  /** Undefined where there is none. */
  readonly get: (companyId: string, id: string) => Promise<Buffer | undefined>;
  /** One that is not there is gone already. */
  readonly remove: (companyId: string, id: string) => Promise<void>;
};
