import type { JobQuote } from "@wide-porch/core";
import { View } from "react-native";
import { AddEntry } from "../components/AddEntry";
import { IconButton } from "../components/Button";
import { Choice } from "../components/Choice";
import { CommitField } from "../components/CommitField";
import { Body, Faint, Title } from "../components/Text";
import { Trash2 } from "../icons";
import { useJob } from "../job/JobContext";
import { FigureField } from "../measure/FigureField";
import { Picture } from "../photos/Picture";

const daysProblem = (text: string): string | undefined =>
  /^\d{1,3}$/.test(text) && Number(text) >= 1 && Number(text) <= 365 ? undefined : "A number of days from 1 to 365.";

/** What the builder chooses about the quote. The paper beside it follows at once. */
export function QuoteSettingsForm() {
  const { record, changeJob } = useJob("record", "changeJob");
  const { quote } = record.job;
  // From the quote as it stands this instant: what is on screen may be a moment old.
  const changeFrom = (change: (now: JobQuote) => Partial<JobQuote>) =>
    changeJob((now) => ({ quote: { ...now.quote, ...change(now.quote) } }));
  const change = (change: Partial<JobQuote>) => changeFrom(() => change);
  return (
    <View className="gap-4">
      <Title level={2}>On the paper</Title>
      <Choice
        label="Prices shown"
        value={quote.detail}
        onChange={(detail) => change({ detail })}
        options={[
          { value: "one-price", label: "One price" },
          { value: "price-per-part", label: "A price per part" },
        ]}
      />
      <FigureField
        measure="count"
        label="Valid for, days"
        value={String(quote.validDays)}
        check={daysProblem}
        onCommit={(days) => change({ validDays: Number(days) })}
        boxClassName="w-32"
      />
      <CommitField
        label="Opening words"
        value={quote.intro}
        onCommit={(intro) => change({ intro: intro.slice(0, 4000) })}
        multiline
      />
      <Pictures
        pictures={quote.pictures}
        onChange={(change) => changeFrom(({ pictures }) => ({ pictures: change(pictures) }))}
      />
      <View className="gap-1">
        <Faint>Not included</Faint>
        {quote.exclusions.map((text, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: plain sentences in order, and two may be the same
          <View key={`${index}${text}`} className="flex-row items-center border-b border-rule">
            <Body className="flex-1">{text}</Body>
            <IconButton
              name={`Take out: ${text}`}
              icon={Trash2}
              onPress={() => changeFrom((now) => ({ exclusions: now.exclusions.filter((_, at) => at !== index) }))}
            />
          </View>
        ))}
        <AddEntry
          label="Something else not included"
          button="Add to what is not included"
          most={400}
          empty="Say what is not included."
          onAdd={(text) => changeFrom((now) => ({ exclusions: [...now.exclusions, text] }))}
        />
      </View>
      <CommitField
        label="Terms"
        value={quote.terms}
        onCommit={(terms) => change({ terms: terms.slice(0, 4000) })}
        multiline
      />
    </View>
  );
}

type PicturesProps = {
  readonly pictures: JobQuote["pictures"];
  readonly onChange: (change: (now: JobQuote["pictures"]) => JobQuote["pictures"]) => void;
};

/** The pictures on the paper: what they show, in words. They come from the 3D view of the count. */
function Pictures({ pictures, onChange }: PicturesProps) {
  if (pictures.length === 0)
    return <Faint>A picture of the framing is put on the paper from the count’s 3D view.</Faint>;
  return (
    <View className="gap-2">
      <Faint>Pictures</Faint>
      {pictures.map((picture, index) => (
        <View key={picture.id} className="flex-row items-end gap-2 border-b border-rule pb-2">
          <Picture photo={picture} className="h-16 w-16" whole />
          <View className="min-w-0 flex-1">
            <CommitField
              label={`Under picture ${index + 1}`}
              value={picture.caption}
              onCommit={(text) =>
                onChange((now) =>
                  now.map((each) => (each.id === picture.id ? { ...each, caption: text.slice(0, 200) } : each)),
                )
              }
            />
          </View>
          <IconButton
            name={`Take out picture ${index + 1}`}
            icon={Trash2}
            onPress={() => onChange((now) => now.filter((each) => each.id !== picture.id))}
          />
        </View>
      ))}
    </View>
  );
}
