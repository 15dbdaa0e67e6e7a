import { formatMoney, type QuoteDocument, quoteTotals } from "@wide-porch/core";
import { format } from "date-fns/format";
import { parseISO } from "date-fns/parseISO";
import { View } from "react-native";
import { CompanyMark } from "../account/CompanyMark";
import { Body, Faint, Figure, Strong, Title } from "../components/Text";
import { Picture } from "../photos/Picture";

const longDate = (date: string): string => format(parseISO(date), "d MMMM yyyy");

/** A quote as the customer will read it. */
export function PaperPage({ quote }: { quote: QuoteDocument }) {
  const say = (amount: string) => formatMoney(amount, quote.currency);
  return (
    <View
      role="article"
      aria-label={`Quote, ${quote.number}`}
      className="gap-4 border border-rule bg-sheet px-5 py-7 shadow-sm"
    >
      <View className="flex-row gap-3">
        <View className="min-w-0 flex-1">
          <Title level={2} className="text-xl text-pine">
            {quote.company.name}
          </Title>
          <Faint>{quote.company.address}</Faint>
          {quote.company.details.map((line) => (
            <Faint key={line}>{line}</Faint>
          ))}
        </View>
        {quote.company.mark === null ? null : <CompanyMark id={quote.company.mark} className="h-16 w-28" />}
      </View>
      <View className="border-b border-rule pb-3">
        <Title level={3} className="text-lg">
          {quote.number === "Draft" ? "Draft quote" : `Quote ${quote.number}`}
        </Title>
        <Strong>{quote.title}</Strong>
        <Body>{`For ${quote.customer.name}`}</Body>
        {quote.customer.site ? <Body>{`At ${quote.customer.site}`}</Body> : null}
        <Faint>{`${longDate(quote.date)}. Valid until ${longDate(quote.validUntil)}.`}</Faint>
      </View>
      {quote.intro ? <Body>{quote.intro}</Body> : null}
      {quote.pictures.map((picture) => (
        <View key={picture.id} className="gap-1">
          <Picture photo={picture} className="h-64 w-full" whole />
          {picture.caption ? <Faint>{picture.caption}</Faint> : null}
        </View>
      ))}
      {quote.sections.map((section, index) => (
        // Two parts may share a name; their order does not change within a draft.
        // biome-ignore lint/suspicious/noArrayIndexKey: sections have no id of their own
        <View key={`${section.heading}${index}`} className="gap-1">
          <Title level={3} className="text-pine">
            {section.heading}
          </Title>
          <Body>{section.paragraphs.join(" ")}</Body>
          {section.price === null ? null : <AmountLine name="Price for this part" amount={say(section.price)} />}
        </View>
      ))}
      <View className="border-t-2 border-ink pt-2">
        {quoteTotals(quote).map(({ name, amount, strong }) => (
          <View key={name} testID={strong ? "quote-total" : undefined}>
            <AmountLine name={name} amount={say(amount)} strong={strong} />
          </View>
        ))}
      </View>
      {quote.options.length > 0 ? (
        <View className="gap-2">
          <Title level={3} className="text-pine">
            Options
          </Title>
          {quote.options.map(({ name, taken, difference, paragraphs }) => (
            <View key={name} className="gap-1">
              <Strong>{`${name}${taken ? ", in this price" : ", not in this price"}`}</Strong>
              <Body>{paragraphs.join(" ")}</Body>
              <AmountLine name={taken ? "In the total to pay" : "Added to the total to pay"} amount={say(difference)} />
            </View>
          ))}
        </View>
      ) : null}
      <Items title="Please note" items={quote.notes} />
      <Items title="Not included" items={quote.exclusions} />
      {quote.terms ? (
        <View className="gap-1">
          <Title level={3} className="text-pine">
            Terms
          </Title>
          <Body>{quote.terms}</Body>
        </View>
      ) : null}
    </View>
  );
}

function AmountLine({ name, amount, strong = false }: { name: string; amount: string; strong?: boolean }) {
  return (
    <View className="flex-row items-baseline justify-between gap-4">
      {strong ? <Strong>{name}</Strong> : <Body>{name}</Body>}
      <Figure className={strong ? "text-xl" : "font-text text-base"}>{amount}</Figure>
    </View>
  );
}

function Items({ title, items }: { title: string; items: readonly string[] }) {
  if (items.length === 0) return null;
  return (
    <View className="gap-1">
      <Title level={3} className="text-pine">
        {title}
      </Title>
      {items.map((item) => (
        <Body key={item}>{`•  ${item}`}</Body>
      ))}
    </View>
  );
}
