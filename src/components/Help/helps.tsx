import { Help } from './Help';
import classes from './Help.module.css';

type DiscProps = { x: number; y: number; number: number };

const Disc = ({ x, y, number }: DiscProps) => (
  <>
    <circle cx={x} cy={y} r="9" className={classes.disc} />
    <text x={x} y={y + 4} className={classes.inDisc}>
      {number}
    </text>
  </>
);

const FENCES_X = [40, 280];
/** A landing of half a stride, three strides and a take-off of half a stride. */
const ARCHES = 'M40 72Q58 30 76 72Q104 12 132 72Q160 12 188 72Q216 12 244 72Q262 30 280 72';

/** The line of a track under the sand. */
export function RibbonHelp() {
  return (
    <Help
      asks="How is the ribbon read?"
      says="It is the track, unrolled: a post is a fence, an arch a stride of the horse beside it, and the words over the leg say how to ride it. A post can be dragged."
    >
      <path d="M10 72H310" className={classes.line} />
      <path d={ARCHES} className={classes.accent} />
      {FENCES_X.map((x, at) => (
        <g key={x}>
          <path d={`M${x} 72V36`} className={classes.thick} />
          <Disc x={x} y={22} number={at + 1} />
        </g>
      ))}
      <text x="160" y="12">
        easy three
      </text>
      {[58, 104, 160, 216, 262].map((x, at) => (
        <text key={x} x={x} y="90">
          {['lands', '1', '2', '3', 'takes off'][at]}
        </text>
      ))}
    </Help>
  );
}

/** How a setting sheet is set by. */
export function SettingHelp() {
  return (
    <Help
      asks="How is this sheet set by?"
      says="Along the line the large number is the gap from the last piece; with two tapes, the two lengths from two known places meet where the piece goes, and a third one only checks."
    >
      <path d="M30 56V88M150 56V88" className={classes.thick} />
      <path d="M36 46H144M36 46l7 -4M36 46l7 4M144 46l-7 -4M144 46l-7 4" className={classes.accent} />
      <text x="90" y="38">
        18 m, 20 steps
      </text>
      <path d="M210 88L262 34M304 88L262 34" className={classes.accent} />
      <path d="M244 34H280" className={classes.thick} />
      <circle cx="210" cy="88" r="4" className={classes.disc} />
      <circle cx="304" cy="88" r="4" className={classes.disc} />
      <text x="222" y="58">
        9.2
      </text>
      <text x="296" y="58">
        7.4
      </text>
    </Help>
  );
}

/** What is where on the pad. */
export function PadHelp() {
  return (
    <Help
      asks="How is it tapped?"
      says="Tap the large place at each stride (3). A number on the sand says where you are (2), a key what happened there (4), and the key at the edge ends the pass (5); a tap on the stage changes what is asked (1)."
    >
      <rect x="120" y="4" width="80" height="92" rx="6" className={classes.key} />
      <path d="M120 18H200M120 46H200M120 66H200M120 82H200M160 82V96M146 66V82M173 66V82" className={classes.line} />
      <path d="M132 38Q160 20 188 34" className={classes.accent} />
      {[11, 32, 56, 74, 89].map((y, at) => (
        <Disc key={y} x={at % 2 === 0 ? 226 : 94} y={y} number={at + 1} />
      ))}
      {[11, 32, 56, 74, 89].map((y, at) => (
        <path key={y} d={at % 2 === 0 ? `M216 ${y}H190` : `M104 ${y}H130`} className={classes.dashed} />
      ))}
    </Help>
  );
}

/** What a bar with a dot says. */
export function SureHelp() {
  return (
    <Help
      asks="How sure is what is told here?"
      says="The dot is what was seen, the bar where it lies 95 times in 100. A bar that does not cross the line is told; a long one needs more passes first."
    >
      <path d="M160 8V92" className={classes.dashed} />
      <path d="M196 32H252M196 26V38M252 26V38" className={classes.accent} />
      <circle cx="224" cy="32" r="5" className={classes.disc} />
      <text x="224" y="18">
        sure
      </text>
      <path d="M90 72H262M90 66V78M262 66V78" className={classes.accent} />
      <circle cx="180" cy="72" r="5" className={classes.disc} />
      <text x="216" y="60">
        too little yet
      </text>
    </Help>
  );
}
