import { Notice } from "./Notice";
import { Body } from "./Text";

/** What could not be done, and why; nothing where all is well. */
export const FailureNotice = ({ title, failure }: { readonly title: string; readonly failure: string | undefined }) =>
  failure === undefined ? null : (
    <Notice title={title} live>
      <Body>{failure}</Body>
    </Notice>
  );
