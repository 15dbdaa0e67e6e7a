import { useState } from "react";
import type { FieldValues, Path, UseFormReturn } from "react-hook-form";
import { ApiProblem } from "../api/client";

/**
 * Sends a form. What the server says of a field stands beneath it, and all else is `failure`; what was typed stays.
 */
export function useSending<F extends FieldValues>(form: UseFormReturn<F>, send: (values: F) => Promise<void>) {
  const [failure, setFailure] = useState<string>();
  const [busy, setBusy] = useState(false);
  const submit = form.handleSubmit(async (values) => {
    setFailure(undefined);
    setBusy(true);
    try {
      await send(values);
    } catch (error) {
      setFailure(placed(form, error));
    } finally {
      setBusy(false);
    }
  });
  return { submit: () => void submit(), failure, busy };
}

/** Puts problems beneath their fields; what has no field is returned. */
function placed<F extends FieldValues>(form: UseFormReturn<F>, error: unknown): string | undefined {
  if (!(error instanceof ApiProblem)) return error instanceof Error ? error.message : String(error);
  const fields = new Set(Object.keys(form.getValues()));
  const own = error.problems.filter(({ path }) => fields.has(path));
  // A name of one of its own fields is a path of the form.
  for (const { path, message } of own) form.setError(path as Path<F>, { message });
  return own.length > 0 ? undefined : error.message;
}
