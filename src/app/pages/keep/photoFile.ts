import type { Photo } from '../../../model';
import { say } from '../../../text/en/say/keep';

/** Largest file that is taken, bytes; longest side kept, px, and how well it is compressed. */
const LARGEST = 30_000_000;
const LONGEST_SIDE = 1600;
const QUALITY = 0.82;

/** A picture made small enough to be kept. @throws Error in words for what is no picture, or too large */
export async function smallPhoto(file: File): Promise<{ readonly photo: Photo; readonly bytes: Uint8Array }> {
  if (file.size > LARGEST) {
    throw new Error(say.photoTooLarge(file.name, Math.round(file.size / 1e6), LARGEST / 1e6));
  }
  let image: ImageBitmap;
  try {
    image = await createImageBitmap(file);
  } catch {
    throw new Error(say.noPicture(file.name));
  }
  const scale = Math.min(1, LONGEST_SIDE / Math.max(image.width, image.height));
  const [width, height] = [image.width, image.height].map((side) => Math.max(1, Math.round(side * scale)));
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')?.drawImage(image, 0, 0, width, height);
  image.close();
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
  const bytes = new Uint8Array(await blob.arrayBuffer());
  return {
    bytes,
    photo: {
      id: crypto.randomUUID(),
      name: file.name.slice(0, 80) || 'picture',
      widthPx: width,
      heightPx: height,
      bytes: bytes.length,
    },
  };
}
