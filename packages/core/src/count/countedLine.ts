import type { CountLine, Working } from "./countLine";

type LineFacts = Omit<CountLine, "working" | "pieceIds">;

/** What is written when it is first read. */
type Later = { readonly pieceIds: () => readonly string[]; readonly working: () => Working };

/**
 * A count line whose working and pieces are written when they are first read: most lines are never opened, and writing
 * them all would take longer than counting. A spread copy lacks both; `plainLine` makes a copy that has them.
 */
export class CountedLine implements CountLine {
  readonly id: string;
  readonly key: string;
  readonly partId: string;
  readonly partName: string;
  readonly storey: string;
  readonly location: string;
  readonly assembly: CountLine["assembly"];
  readonly rule: string;
  readonly trade: string;
  readonly phase: string;
  readonly description: string;
  readonly itemCode: string;
  readonly quantity: number;
  readonly computed: number;
  readonly byHand: string | undefined;
  readonly note: string | undefined;
  readonly missing: string | undefined;
  readonly unit: string;
  readonly basis: CountLine["basis"];
  readonly buying: CountLine["buying"];
  readonly wastePercent: number | undefined;
  readonly cutLengthsNm: CountLine["cutLengthsNm"];
  readonly labourTask: string | undefined;
  readonly supply: CountLine["supply"];
  readonly option: CountLine["option"];
  readonly ordered: number | undefined;
  readonly roundsAlone: boolean | undefined;
  readonly sheetRoles: readonly string[] | undefined;
  readonly #later: Later;
  #pieceIds: readonly string[] | undefined;
  #working: Working | undefined;

  constructor(line: LineFacts, later: Later) {
    this.id = line.id;
    this.key = line.key;
    this.partId = line.partId;
    this.partName = line.partName;
    this.storey = line.storey;
    this.location = line.location;
    this.assembly = line.assembly;
    this.rule = line.rule;
    this.trade = line.trade;
    this.phase = line.phase;
    this.description = line.description;
    this.itemCode = line.itemCode;
    this.quantity = line.quantity;
    this.computed = line.computed;
    this.byHand = line.byHand;
    this.note = line.note;
    this.missing = line.missing;
    this.unit = line.unit;
    this.basis = line.basis;
    this.buying = line.buying;
    this.wastePercent = line.wastePercent;
    this.cutLengthsNm = line.cutLengthsNm;
    this.labourTask = line.labourTask;
    this.supply = line.supply;
    this.option = line.option;
    this.ordered = line.ordered;
    this.roundsAlone = line.roundsAlone;
    this.sheetRoles = line.sheetRoles;
    this.#later = later;
  }

  get working(): Working {
    this.#working ??= this.#later.working();
    return this.#working;
  }

  get pieceIds(): readonly string[] {
    this.#pieceIds ??= this.#later.pieceIds();
    return this.#pieceIds;
  }

  /** The same line with some of it changed, its working kept. */
  with(changes: Partial<LineFacts>): CountedLine {
    return new CountedLine({ ...this, ...changes }, { pieceIds: () => this.pieceIds, working: () => this.working });
  }

  /** The same line with some of it changed, and its working with it. */
  withWorking(changes: Partial<LineFacts>, told: (working: Working) => Working): CountedLine {
    return new CountedLine(
      { ...this, ...changes },
      { pieceIds: () => this.pieceIds, working: () => told(this.working) },
    );
  }

  toJSON(): CountLine {
    return plainLine(this);
  }
}

/** A line as plain data, with all that is written late: for sending and keeping. */
export const plainLine = (line: CountLine): CountLine => ({
  ...line,
  pieceIds: line.pieceIds,
  working: line.working,
});
