import { MOST_QUOTE_PICTURES } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Faint, Warning } from "../../components/Text";
import { Camera as CameraIcon } from "../../icons";
import { useJob } from "../../job/JobContext";
import { keepPicture } from "../../photos/keepPicture";

/** Takes a picture of the model as it is seen; undefined while there is none to take. */
export type Camera = (() => Promise<Blob>) | undefined;

/** Puts the model as it is seen on the quote's paper. Only for those who see the quote. */
export function ForTheQuote({ camera, storey }: { readonly camera: Camera; readonly storey: string }) {
  const { jobId, record, changeJob } = useJob("jobId", "record", "changeJob");
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<string>();
  const [failure, setFailure] = useState<string>();
  if (record.job.pricing === null) return null;
  const full = record.job.quote.pictures.length >= MOST_QUOTE_PICTURES;
  const put = async () => {
    if (!camera) return;
    setBusy(true);
    setFailure(undefined);
    try {
      const picture = await keepPicture(jobId, await camera());
      const caption = storey === "" ? "The framing" : `The framing, ${storey}`;
      changeJob(({ quote }) => ({
        quote: { ...quote, pictures: [...quote.pictures, { ...picture, caption }].slice(0, MOST_QUOTE_PICTURES) },
      }));
      setSaid("It is on the quote’s paper now. Its caption can be changed there.");
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
    setBusy(false);
  };
  return (
    <View className="gap-1">
      <Button
        label="Put this view on the quote"
        kind="plain"
        icon={CameraIcon}
        disabled={busy || full || camera === undefined}
        onPress={() => void put()}
      />
      <View role="status" aria-live="polite">
        {full ? <Faint>{`The quote has its ${MOST_QUOTE_PICTURES} pictures. Take one out there first.`}</Faint> : null}
        {said && !full ? <Faint>{said}</Faint> : null}
      </View>
      {failure ? <Warning role="alert">{`The picture could not be taken (${failure}).`}</Warning> : null}
    </View>
  );
}
