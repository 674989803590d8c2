/**
 * Renders a page of a PDF for the tests, with a program that is not Roan's: node scripts/lib/renderPdf.mjs FILE PAGE DPI OUT.
 * OUT gets one byte of grey a pixel; the size of the picture, the number of pages and the texts of the page with their sizes in
 * points go to standard output as JSON.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { createCanvas } from '@napi-rs/canvas';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const [file, pageNumber, dpi, out] = process.argv.slice(2);
const standardFontDataUrl = `${path.join(process.cwd(), 'node_modules/pdfjs-dist/standard_fonts')}/`;
const pdf = await getDocument({ data: new Uint8Array(readFileSync(file)), standardFontDataUrl, verbosity: 0 }).promise;
const page = await pdf.getPage(Number(pageNumber));
const viewport = page.getViewport({ scale: Number(dpi) / 72 });
const width = Math.round(viewport.width);
const height = Math.round(viewport.height);
const canvas = createCanvas(width, height);
const context = canvas.getContext('2d');
context.fillStyle = '#fff';
context.fillRect(0, 0, width, height);
await page.render({ canvas, canvasContext: context, viewport }).promise;
const { data } = context.getImageData(0, 0, width, height);
const grey = new Uint8Array(width * height);
for (let i = 0; i < grey.length; i += 1) grey[i] = Math.round((data[4 * i] + data[4 * i + 1] + data[4 * i + 2]) / 3);
if (out) writeFileSync(out, grey);
if (process.env.PNG) writeFileSync(process.env.PNG, canvas.toBuffer('image/png'));
const { items } = await page.getTextContent();
const sizesPt = items.map(({ transform }) => Math.hypot(transform[2], transform[3]));
const texts = items.map(({ str }) => str);
process.stdout.write(JSON.stringify({ width, height, pages: pdf.numPages, texts, sizesPt }));
