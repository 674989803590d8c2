/**
 * npm run --silent draw -- FILE.roan.json: prints the layout as an SVG drawing, 1 : 100; of several files a line of JSON
 * each, with the name and the drawing.
 */
import { reckonLayout } from '@/core';
import { layoutSvg } from '@/files/layoutSvg';
import { printedJson, readLayoutArguments } from './readLayoutArgument';

const layouts = readLayoutArguments(process.argv.slice(2), 'draw');
const drawings = layouts.map(layout => ({ name: layout.name, svg: layoutSvg(layout, reckonLayout(layout)) }));
process.stdout.write(drawings.length === 1 ? drawings[0]!.svg : printedJson(drawings));
