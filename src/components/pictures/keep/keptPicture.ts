import { inLightColours } from '@/components/colours/lightColours';
import { drawnAsSvg } from './drawnAsSvg';
import { ownFont } from './ownFont';

/** A picture is kept so much finer than a page shows it. */
const FINER = 2;

/** A picture of the page as an SVG file. */
export async function pictureAsSvg(box: Element, title: string): Promise<Blob> {
  const { svg, fontFamily } = inLightColours(() => {
    const { backgroundColor, fontFamily: family } = getComputedStyle(box.closest('section') ?? box);
    return { svg: drawnAsSvg(box, title, backgroundColor), fontFamily: family };
  });
  const font = await ownFont(fontFamily);
  if (font !== '') {
    const style = document.createElementNS('http://www.w3.org/2000/svg', 'style');
    style.textContent = font;
    svg.prepend(style);
  }
  return new Blob([new XMLSerializer().serializeToString(svg)], { type: 'image/svg+xml' });
}

/** The same as a PNG; null where the browser does not give it away. */
export async function pictureAsPng(box: Element, title: string): Promise<Blob | null> {
  const address = URL.createObjectURL(await pictureAsSvg(box, title));
  try {
    const image = new Image();
    image.src = address;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(image.naturalWidth * FINER);
    canvas.height = Math.round(image.naturalHeight * FINER);
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    return await new Promise(resolve => canvas.toBlob(resolve, 'image/png'));
  } catch {
    return null;
  } finally {
    URL.revokeObjectURL(address);
  }
}
