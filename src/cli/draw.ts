/** npm run --silent draw -- FILE.roan.json: prints the layout as an SVG drawing, 1 : 100. */
import { reckonLayout } from '@/core';
import { layoutSvg } from '@/files/layoutSvg';
import { readLayoutArgument } from './readLayoutArgument';

const layout = readLayoutArgument(process.argv.slice(2), 'draw');
process.stdout.write(layoutSvg(layout, reckonLayout(layout)));
