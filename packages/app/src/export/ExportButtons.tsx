import type { Table } from "@wide-porch/core";
import { useJob } from "../job/JobContext";
import { TableButtons } from "./TableButtons";

type Props = { readonly make: () => Table; readonly what: string };

/** A list of the open job as a file, called by the job and what it is. */
export function ExportButtons({ make, what }: Props) {
  const { record } = useJob("record");
  return <TableButtons make={make} what={what} title={`${record.job.title} ${what}`} />;
}
