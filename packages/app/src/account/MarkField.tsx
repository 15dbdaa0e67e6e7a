import { View } from "react-native";
import { ask, askWithBytes } from "../api/client";
import { type Company, companySchema } from "../api/records";
import { refreshSession, useSession } from "../api/session";
import { Button } from "../components/Button";
import { FailureNotice } from "../components/FailureNotice";
import { FileButton } from "../components/FileButton";
import { Faint, Title } from "../components/Text";
import { useAttempt } from "../components/useAttempt";
import { Image } from "../icons";
import { smallPicture } from "../photos/picture";

const MARK = "/company/mark";
/** Small ones are sent as they are: what is clear through stays so. */
const SMALL_BYTES = 1_000_000;

type Props = { readonly company: Company; readonly onChanged: (company: Company) => void };

/** The company's mark at the head of its quotes. */
export function MarkField({ company, onChanged }: Props) {
  const session = useSession().data;
  const { failure, attempt } = useAttempt();
  const take = (asking: Promise<Company>) =>
    attempt(async () => {
      const next = await asking;
      onChanged(next);
      if (session) await refreshSession({ ...session, company: { ...session.company, ...next } });
    });
  const put = async (file: File): Promise<Company> =>
    askWithBytes(companySchema, MARK, file.size > SMALL_BYTES ? await smallPicture(file) : file);
  return (
    <View className="gap-2">
      <Title level={2}>Mark</Title>
      <Faint>A PNG, JPEG or WebP. It stands at the upper right of a quote.</Faint>
      <FailureNotice title="Not taken" failure={failure} />
      <View className="flex-row flex-wrap gap-2">
        <FileButton
          label={company.profile.mark === null ? "Choose a picture" : "Choose another picture"}
          name="The company's mark"
          accept="image/png,image/jpeg,image/webp"
          kind="plain"
          icon={Image}
          onFile={(file) => void take(put(file))}
        />
        {company.profile.mark === null ? null : (
          <Button label="No mark" kind="quiet" onPress={() => void take(ask(companySchema, "DELETE", MARK))} />
        )}
      </View>
    </View>
  );
}
