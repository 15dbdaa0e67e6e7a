import { formatMoney, type QuoteDocument, quoteTotals } from "@wide-porch/core";
import PDFDocument from "pdfkit";
import { Reply } from "../http/reply";

const FONTS = {
  text: require.resolve(
    "@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf",
  ),
  strong: require.resolve("@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf"),
  display: require.resolve("@expo-google-fonts/besley/600SemiBold/Besley_600SemiBold.ttf"),
};

const INK = "#1d1b16";
const FAINT_INK = "#5b564b";
const PINE = "#1f4d3a";
const MARGIN_PT = 56;
const BODY_PT = 10.5;

const PICTURE_HEIGHT_PT = 260;
const MARK_WIDTH_PT = 150;
const MARK_HEIGHT_PT = 64;

type Pdf = InstanceType<typeof PDFDocument>;

/** A picture ready for the paper: a JPEG of no more pixels than print shows. */
export type PaperPicture = { readonly widthPx: number; readonly heightPx: number; readonly jpeg: Buffer };

/** The pictures that a quote names, by their ids; nothing for one that cannot be read. */
export type QuotePictures = ReadonlyMap<string, PaperPicture>;

const longDate = (date: string): string =>
  new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long", year: "numeric", timeZone: "UTC" }).format(
    new Date(`${date}T00:00:00Z`),
  );

const widthOf = (pdf: Pdf): number => pdf.page.width - 2 * MARGIN_PT;

/** Starts a new page when what comes next would be torn apart. */
function keepTogether(pdf: Pdf, heightPt: number): void {
  if (pdf.y + heightPt > pdf.page.height - MARGIN_PT) pdf.addPage();
}

function heading(pdf: Pdf, text: string): void {
  keepTogether(pdf, 48);
  pdf.moveDown(1).font("display").fontSize(12).fillColor(PINE).text(text, MARGIN_PT).moveDown(0.3);
}

function paragraph(pdf: Pdf, text: string): void {
  if (text.trim() === "") return;
  pdf
    .font("text")
    .fontSize(BODY_PT)
    .fillColor(INK)
    .text(text, MARGIN_PT, undefined, { width: widthOf(pdf) })
    .moveDown(0.35);
}

/** A name at the left and an amount set flush right on the same line. */
function amountLine(pdf: Pdf, name: string, amount: string, font: "text" | "strong"): void {
  keepTogether(pdf, 20);
  const top = pdf.y;
  pdf.font(font).fontSize(BODY_PT).fillColor(INK);
  pdf.text(amount, MARGIN_PT, top, { width: widthOf(pdf), align: "right" });
  pdf.text(name, MARGIN_PT, top, { width: widthOf(pdf) - 130 }).moveDown(0.25);
}

function rule(pdf: Pdf): void {
  const y = pdf.y + 2;
  pdf
    .moveTo(MARGIN_PT, y)
    .lineTo(pdf.page.width - MARGIN_PT, y)
    .lineWidth(0.6)
    .strokeColor(FAINT_INK)
    .stroke();
  pdf.y = y + 6;
}

/** The company's mark at the upper right, and how wide what stands beside it may be. */
function mark(pdf: Pdf, quote: QuoteDocument, known: QuotePictures): number {
  const picture = quote.company.mark === null ? undefined : known.get(quote.company.mark);
  if (!picture) return widthOf(pdf);
  const scale = Math.min(MARK_WIDTH_PT / picture.widthPx, MARK_HEIGHT_PT / picture.heightPx);
  const [width, height] = [picture.widthPx * scale, picture.heightPx * scale];
  pdf.image(picture.jpeg, pdf.page.width - MARGIN_PT - width, MARGIN_PT, { width, height });
  return widthOf(pdf) - width - 12;
}

function letterhead(pdf: Pdf, quote: QuoteDocument, known: QuotePictures): void {
  const { name, address, details, mark: markId } = quote.company;
  const width = mark(pdf, quote, known);
  pdf.font("display").fontSize(20).fillColor(PINE).text(name, MARGIN_PT, MARGIN_PT, { width });
  pdf.font("text").fontSize(9).fillColor(FAINT_INK).text(address, { width });
  for (const line of details) pdf.text(line, { width });
  if (markId !== null) pdf.y = Math.max(pdf.y, MARGIN_PT + MARK_HEIGHT_PT);
  pdf.moveDown(1.2);
  const title = quote.number === "Draft" ? "Draft quote" : `Quote ${quote.number}`;
  pdf.font("display").fontSize(15).fillColor(INK).text(title).font("text").fontSize(BODY_PT);
  pdf.text(quote.title).moveDown(0.4);
  pdf.text(`For ${quote.customer.name}`);
  if (quote.customer.site !== "") pdf.text(`At ${quote.customer.site}`);
  pdf.text(`${longDate(quote.date)}. Valid until ${longDate(quote.validUntil)}.`).moveDown(0.6);
  rule(pdf);
}

/** Each as wide as the text or as high as there is room for, with what it shows under it. */
function pictures(pdf: Pdf, quote: QuoteDocument, known: QuotePictures): void {
  for (const { id, caption } of quote.pictures) {
    const picture = known.get(id);
    if (!picture) {
      paragraph(pdf, `A picture is left out, as it cannot be read${caption === "" ? "." : `: ${caption}`}`);
      continue;
    }
    const scale = Math.min(widthOf(pdf) / picture.widthPx, PICTURE_HEIGHT_PT / picture.heightPx);
    const [width, height] = [picture.widthPx * scale, picture.heightPx * scale];
    keepTogether(pdf, height + 40);
    const top = pdf.y + 6;
    pdf.image(picture.jpeg, MARGIN_PT, top, { width, height });
    pdf.y = top + height + 6;
    if (caption !== "") pdf.font("text").fontSize(9).fillColor(FAINT_INK).text(caption, MARGIN_PT).moveDown(0.6);
  }
}

function sections(pdf: Pdf, quote: QuoteDocument): void {
  for (const section of quote.sections) {
    heading(pdf, section.heading);
    for (const text of section.paragraphs) paragraph(pdf, text);
    if (section.price !== null)
      amountLine(pdf, "Price for this part", formatMoney(section.price, quote.currency), "text");
  }
}

/** What the customer can take beside it, each with what it adds to the total. */
function options(pdf: Pdf, quote: QuoteDocument): void {
  if (quote.options.length === 0) return;
  heading(pdf, "Options");
  for (const { name, taken, difference, paragraphs } of quote.options) {
    paragraph(pdf, `${name}${taken ? ", in this price" : ", not in this price"}`);
    for (const text of paragraphs) paragraph(pdf, text);
    amountLine(
      pdf,
      taken ? "In the total to pay" : "Added to the total to pay",
      formatMoney(difference, quote.currency),
      "text",
    );
  }
}

function totals(pdf: Pdf, quote: QuoteDocument): void {
  keepTogether(pdf, 90);
  pdf.moveDown(0.8);
  rule(pdf);
  for (const { name, amount, strong } of quoteTotals(quote))
    amountLine(pdf, name, formatMoney(amount, quote.currency), strong ? "strong" : "text");
}

function list(pdf: Pdf, title: string, items: readonly string[]): void {
  if (items.length === 0) return;
  heading(pdf, title);
  for (const item of items) paragraph(pdf, `•  ${item}`);
}

function pageNumbers(pdf: Pdf, quote: QuoteDocument): void {
  const { start, count } = pdf.bufferedPageRange();
  for (let page = start; page < start + count; page += 1) {
    pdf.switchToPage(page);
    // Below the bottom margin pdfkit would start a new page; the footer is text in the margin.
    pdf.page.margins.bottom = 0;
    const text = `${quote.company.name}  ·  ${quote.number}  ·  page ${page + 1} of ${count}`;
    const y = pdf.page.height - 36;
    pdf
      .font("text")
      .fontSize(8)
      .fillColor(FAINT_INK)
      .text(text, MARGIN_PT, y, { width: widthOf(pdf), align: "center" });
  }
}

/** Draws the quote document, and nothing that is not in it. A4 for metric money, Letter for dollars of the US and Canada. */
export function quotePdf(quote: QuoteDocument, known: QuotePictures = new Map()): Pdf {
  const size = quote.currency === "USD" || quote.currency === "CAD" ? "LETTER" : "A4";
  const info = { Title: `${quote.title}, ${quote.number}`, Author: quote.company.name };
  const pdf = new PDFDocument({ size, margin: MARGIN_PT, bufferPages: true, lang: "en", info });
  for (const [name, file] of Object.entries(FONTS)) pdf.registerFont(name, file);
  letterhead(pdf, quote, known);
  paragraph(pdf, quote.intro);
  pictures(pdf, quote, known);
  sections(pdf, quote);
  totals(pdf, quote);
  options(pdf, quote);
  list(pdf, "Please note", quote.notes);
  list(pdf, "Not included", quote.exclusions);
  if (quote.terms.trim() !== "") {
    heading(pdf, "Terms");
    paragraph(pdf, quote.terms);
  }
  pageNumbers(pdf, quote);
  return pdf;
}

/** A file name that any system takes, ASCII only. */
export const pdfFileName = (quote: QuoteDocument): string => {
  const plain = `${quote.title} ${quote.number}`.normalize("NFKD").replace(/[^A-Za-z0-9 -]/g, "");
  return `${plain.trim().replace(/\s+/g, "-").slice(0, 80) || "quote"}.pdf`;
};

/** The paper as an answer. */
export function quotePdfReply(quote: QuoteDocument, known: QuotePictures): Promise<Reply> {
  const pdf = quotePdf(quote, known);
  const chunks: Buffer[] = [];
  const headers = { "Content-Disposition": `attachment; filename="${pdfFileName(quote)}"` };
  return new Promise((resolve, reject) => {
    pdf.on("data", (chunk: Buffer) => chunks.push(chunk));
    pdf.on("error", reject);
    pdf.on("end", () => resolve(new Reply(Buffer.concat(chunks), { contentType: "application/pdf", headers })));
    pdf.end();
  });
}
