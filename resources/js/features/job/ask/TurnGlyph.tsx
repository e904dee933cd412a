import { chakra } from '@chakra-ui/react';
import type { Option } from '../../../api/jobs';
import { paint } from '../../../theme/paint';

const CORNERS = [0, 1, 2, 3, 4, 5].map((n) => {
  const angle = (Math.PI / 3) * n - Math.PI / 2;
  return [38 * Math.cos(angle), 38 * Math.sin(angle)] as const;
});

const arc = (flats: number, sign: number): string => {
  const sweep = Math.min(5.4, Math.max(0.6, flats)) * (Math.PI / 3) * sign;
  const end = -Math.PI / 2 + sweep;
  const [x, y] = [46 * Math.cos(end), 46 * Math.sin(end)];
  return `M0 -46A46 46 0 ${Math.abs(sweep) > Math.PI ? 1 : 0} ${sign > 0 ? 1 : 0} ${x} ${y}`;
};

const head = (flats: number, sign: number): string => {
  const end = -Math.PI / 2 + Math.min(5.4, Math.max(0.6, flats)) * (Math.PI / 3) * sign;
  const at = (r: number, angle: number) => `${r * Math.cos(angle)} ${r * Math.sin(angle)}`;
  return `M${at(39, end - 0.02 * sign)}L${at(46, end + 0.26 * sign)}L${at(54, end - 0.02 * sign)}Z`;
};

const turnWord = { clockwise: 'clockwise', anticlockwise: 'anticlockwise' } as const;

/** What is not turned: an arrow the way it goes, with the count in it. */
const StepGlyph = ({ option }: { option: Option }) => (
  <chakra.figure flexShrink="0" textAlign="center" width="26">
    <chakra.svg viewBox="-60 -34 120 68" width={{ base: '19', lg: '23' }} marginInline="auto" aria-hidden="true">
      <g transform={(option.steps ?? 0) < 0 ? 'scale(-1 1)' : undefined}>
        <path d="M-52 -15H14V-30L54 0L14 30V15H-52Z" fill={paint.well} stroke={paint.action} strokeWidth="4" />
      </g>
      <text textAnchor="middle" y="9" fontSize="25" fontWeight="bold" fill={paint.ink}>
        {Number(Math.abs(option.steps ?? 0).toFixed(2))}×
      </text>
    </chakra.svg>
  </chakra.figure>
);

/** Which way and how far, as flats of a hex seen from the side that is named; whole turns stand in the middle. */
export const TurnGlyph = ({ option }: { option: Option }) => {
  if (option.rotation === null) return <StepGlyph option={option} />;
  const turns = Math.abs(option.steps ?? 0);
  const whole = Math.floor(turns + 1e-6);
  const flats = (turns - whole) * 6;
  const sign = option.rotation === 'clockwise' ? 1 : -1;
  const shown = flats > 0.05 ? flats : 6;
  return (
    <chakra.figure flexShrink="0" textAlign="center" width="26">
      <chakra.svg
        viewBox="-60 -58 120 116"
        width={{ base: '19', lg: '23' }}
        marginInline="auto"
        display="block"
        aria-hidden="true"
      >
        <path
          d={`M${CORNERS.map((corner) => corner.join(' ')).join('L')}Z`}
          fill={paint.well}
          stroke={paint.ink}
          strokeWidth="3.5"
          strokeLinejoin="round"
        />
        {whole > 0 ? (
          <text textAnchor="middle" y="9" fontSize="27" fontWeight="bold" fill={paint.ink}>
            {whole}×
          </text>
        ) : (
          <circle r="15" fill={paint.sheet} stroke={paint.ink} strokeWidth="3" />
        )}
        <path d={arc(shown, sign)} fill="none" stroke={paint.action} strokeWidth="5.5" />
        <path d={head(shown, sign)} fill={paint.action} />
      </chakra.svg>
      <chakra.figcaption textStyle="small" fontSize="xs" lineHeight="tight">
        {option.rotation === null ? '' : `${turnWord[option.rotation]}, ${option.seen_from}`}
      </chakra.figcaption>
    </chakra.figure>
  );
};
