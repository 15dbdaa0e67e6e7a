/** Where a photo's picture lies on the device. */
export const photoKey = (photoId: string): string => `photos/${photoId}`;
