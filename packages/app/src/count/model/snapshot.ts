/** White paper left round what is drawn. */
const MARGIN_PX = 24;
const QUALITY = 0.92;

type Bounds = { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number };

/** What of a picture is drawn on; undefined where nothing is. `data` is four bytes a pixel, the last how opaque it is. */
export function drawnBounds({ data, width, height }: Pick<ImageData, "data" | "width" | "height">): Bounds | undefined {
  let [left, top, right, bottom] = [width, height, -1, -1];
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      if ((data[(y * width + x) * 4 + 3] ?? 0) === 0) continue;
      left = Math.min(left, x);
      right = Math.max(right, x);
      top = Math.min(top, y);
      bottom = y;
    }
  }
  return right < 0 ? undefined : { left, top, right: right + 1, bottom: bottom + 1 };
}

function copyOf(canvas: HTMLCanvasElement): { copy: HTMLCanvasElement; pen: CanvasRenderingContext2D } {
  const copy = document.createElement("canvas");
  copy.width = canvas.width;
  copy.height = canvas.height;
  const pen = copy.getContext("2d");
  if (!pen) throw new Error("snapshot: this device draws no pictures");
  return { copy, pen };
}

/** What a canvas shows, on white and cut to what is drawn. Throws where nothing is drawn. */
export async function snapshot(canvas: HTMLCanvasElement): Promise<Blob> {
  const { copy, pen } = copyOf(canvas);
  pen.drawImage(canvas, 0, 0);
  const bounds = drawnBounds(pen.getImageData(0, 0, copy.width, copy.height));
  if (!bounds) throw new Error("snapshot: there is nothing in sight");
  const width = bounds.right - bounds.left;
  const height = bounds.bottom - bounds.top;
  copy.width = width + 2 * MARGIN_PX;
  copy.height = height + 2 * MARGIN_PX;
  pen.fillStyle = "#ffffff";
  pen.fillRect(0, 0, copy.width, copy.height);
  pen.drawImage(canvas, bounds.left, bounds.top, width, height, MARGIN_PX, MARGIN_PX, width, height);
  const picture = await new Promise<Blob | null>((done) => copy.toBlob(done, "image/jpeg", QUALITY));
  if (!picture) throw new Error("snapshot: the picture could not be made");
  return picture;
}
