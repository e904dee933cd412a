import { Box } from '@chakra-ui/react';
import type { Band } from '../api/contract';
import { bandText, lengthText, lengthUnit } from '../lib/figures';
import { paint } from '../theme/paint';
import { MarkShape } from './Marks';

type MiniTapeProps = { band: Band; found?: number | null; now?: number | null; left?: number | null; width?: number };

const HEIGHT = 26;

/** A band and its readings at a glance, on a strip of masking tape. */
export const MiniTape = ({ band, found = null, now = null, left = null, width = 190 }: MiniTapeProps) => {
  const values = [band.low_mm, band.high_mm, found, now, left].filter((value): value is number => value !== null);
  const most = Math.max(...values, (band.high_mm ?? band.low_mm ?? 1) * 1.3);
  const x = (value: number) => 8 + ((width - 16) * value) / most;
  const from = x(band.low_mm ?? 0);
  const to = band.high_mm === null ? width - 8 : x(band.high_mm);
  const said = [
    `band ${bandText(band)} ${lengthUnit()}`,
    found === null ? '' : `found ${lengthText(found)}`,
    now === null ? '' : `now ${lengthText(now)}`,
    left === null ? '' : `left ${lengthText(left)}`,
  ].filter(Boolean);
  return (
    <Box width={`${width}px`} maxWidth="100%">
      <svg viewBox={`0 0 ${width} ${HEIGHT}`} width="100%" role="img" aria-label={said.join(', ')}>
        <rect x="1" y="5" width={width - 2} height="16" fill={paint['paper.tape']} stroke={paint['paper.tapeEdge']} />
        <rect x={from} y="5" width={Math.max(0, to - from)} height="16" fill={paint['petrol.wash']} />
        {band.low_mm !== null && <path d={`M${from} 1V25`} stroke={paint.inside} strokeWidth="2.5" />}
        {band.high_mm !== null && <path d={`M${to} 1V25`} stroke={paint.inside} strokeWidth="2.5" />}
        {found !== null && (
          <g transform={`translate(${x(found)} 12)`}>
            <MarkShape kind="found" />
          </g>
        )}
        {left !== null && (
          <g transform={`translate(${x(left)} 13)`}>
            <MarkShape kind="left" r={5.5} />
          </g>
        )}
        {now !== null && (
          <g transform={`translate(${x(now)} 13)`}>
            <MarkShape kind="now" />
          </g>
        )}
      </svg>
    </Box>
  );
};
