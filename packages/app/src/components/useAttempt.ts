import { useState } from "react";

/** Does what may fail: why it did is said, and is gone once it is tried again. */
export function useAttempt() {
  const [failure, setFailure] = useState<string>();
  const attempt = async (work: () => Promise<unknown>): Promise<void> => {
    setFailure(undefined);
    try {
      await work();
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
  };
  return { failure, attempt };
}
