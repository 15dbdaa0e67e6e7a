/** Where a photo's picture lies on the device. */
export const photoKey = (photoId: string): string => `photos/${photoId}`;
/** Where it lies until the server has it: it stays there when somebody signs out. */
export const unsentPhotoKey = (photoId: string): string => `unsent-photos/${photoId}`;
