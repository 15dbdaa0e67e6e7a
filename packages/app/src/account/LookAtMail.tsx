import { Notice } from "../components/Notice";
import { Body } from "../components/Text";
import { EntryPage } from "./EntryPage";
import { LettersLink } from "./LettersLink";

type Props = { readonly title: string; readonly email: string; readonly letters: string | null };

/** The address is to be shown to reach whoever gave it: it is not said here whether it is somebody's already. */
export const LookAtMail = ({ title, email, letters }: Props) => (
  <EntryPage title={title} lead="One step more.">
    <Notice title="Look at your mail" tone="pine" live>
      <Body>{`A letter is on its way to ${email}. Its link brings you in; it works once, within two days.`}</Body>
    </Notice>
    <LettersLink letters={letters} />
  </EntryPage>
);
