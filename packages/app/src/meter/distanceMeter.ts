/** One reading of a distance meter, as text that the tape pad reads: `3.512 m`. */
export type Reading = { readonly id: string; readonly typed: string };

/**
 * A thing that measures a distance and sends it. The app knows meters by this face only; a real one, over Bluetooth or a
 * cable, is another implementation of it.
 */
export type DistanceMeter = {
  readonly name: string;
  /** Calls for each reading, until the function it gives is called. `onReading` says whether the reading was taken. */
  readonly listen: (onReading: (reading: Reading) => boolean) => () => void;
};
