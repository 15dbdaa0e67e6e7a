import { type Order, type OrderLine, orderTable, packWord } from "@wide-porch/core";
import { View } from "react-native";
import { Body, Faint, Figure, Title, Warning } from "../components/Text";
import { ExportButtons } from "../export/ExportButtons";

/** What to buy for the whole job: need and waste apart. */
export function OrderList({ order }: { readonly order: Order }) {
  if (order.lines.length + order.supplied.length === 0) return <Body>Nothing to order yet.</Body>;
  return (
    <>
      {order.problems.map((problem) => (
        <Warning key={problem.path + problem.message}>{problem.message}</Warning>
      ))}
      <View role="list" className="border-t border-rule">
        {order.lines.map((line) => (
          <OrderRow key={line.id} line={line} />
        ))}
      </View>
      <Supplied lines={order.supplied} />
      <ExportButtons make={() => orderTable(order)} what="order list" />
    </>
  );
}

/** What the job needs and is not bought: the customer brings it, or has yet to choose it. */
function Supplied({ lines }: { readonly lines: Order["supplied"] }) {
  if (lines.length === 0) return null;
  return (
    <View className="gap-1">
      <Title level={2}>Not to be bought</Title>
      <View role="list" aria-label="Not to be bought" className="border-t border-rule">
        {lines.map(({ id, description, need, by }) => (
          <View key={id} role="listitem" className="min-h-12 justify-center border-b border-rule py-1.5">
            <Body>{`${description}, ${need}`}</Body>
            <Faint>{by === "customer" ? "Supplied by the customer" : "Allowed for: to be chosen"}</Faint>
          </View>
        ))}
      </View>
    </View>
  );
}

function OrderRow({ line }: { readonly line: OrderLine }) {
  return (
    <View role="listitem" className="min-h-14 flex-row items-center justify-between gap-3 border-b border-rule py-2">
      <View className="min-w-0 flex-1">
        <Body>{line.description}</Body>
        <Faint>{line.need ? `Needed: ${line.need}. ${line.note}.` : line.note}</Faint>
        {line.waste ? <Faint>{`Added: ${line.waste}`}</Faint> : null}
      </View>
      <View className="items-end">
        <Figure>{line.quantity}</Figure>
        <Faint>{packWord(line.quantity, line.unitName)}</Faint>
      </View>
    </View>
  );
}
