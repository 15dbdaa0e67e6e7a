let first: string | undefined;
let isNew = false;
const listeners = new Set<() => void>();

export const subscribeToBuild = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Whether the program on the server is another than this page was loaded with. */
export const isNewBuild = (): boolean => isNew;

/** Says that there is a newer program: by its worker, or by what the server says of itself. */
export function announceBuild(): void {
  if (isNew) return;
  isNew = true;
  for (const listener of listeners) listener();
}

/** Takes the build out of an answer. The first is that of this page; an answer that says none changes nothing. */
export function noteBuild(build: string | null): void {
  if (build === null || build === "") return;
  first ??= build;
  if (build !== first) announceBuild();
}
