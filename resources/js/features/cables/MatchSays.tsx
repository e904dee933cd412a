import { Box, chakra } from '@chakra-ui/react';
import type { CableMatch } from '../../api/beside';
import { Chip } from '../../components/Buttons';
import { Mark, type MarkKind } from '../../components/Marks';
import { paint } from '../../theme/paint';

/** Two cables laid side by side: the wire that shows is what is compared. */
export const SideBySide = () => (
  <chakra.svg viewBox="0 0 260 74" width="100%" aria-hidden="true" bg="well" borderRadius="md">
    {[18, 54].map((y, n) => (
      <g key={y}>
        <rect x="14" y={y - 7} width="12" height="14" rx="3" fill={paint['steel.mid']} />
        <path d={`M26 ${y}H${n === 0 ? 176 : 170}`} stroke={paint['graphite.ink']} strokeWidth="11" />
        <path d={`M${n === 0 ? 176 : 170} ${y}H238`} stroke={paint.action} strokeWidth="3" />
        <circle cx="240" cy={y} r="6" fill={paint.ink} />
        <path
          d={`M${n === 0 ? 176 : 170} ${y + 10}V${y + 16}M238 ${y + 10}V${y + 16}M${n === 0 ? 176 : 170} ${y + 13}H238`}
          stroke={paint.action}
          strokeWidth="2"
        />
      </g>
    ))}
    <path d="M26 4V70" stroke={paint.soft} strokeDasharray="3 4" />
  </chakra.svg>
);

const looks = {
  fits: { mark: 'inside', tone: 'inside' },
  at_its_end: { mark: 'found', tone: 'outside' },
  does_not_fit: { mark: 'wrong', tone: 'stop' },
  cannot_tell: { mark: 'cant_tell', tone: 'cantTell' },
} as const satisfies Record<CableMatch['verdict'], { mark: MarkKind; tone: string }>;

type Matched = Pick<CableMatch, 'verdict' | 'label' | 'lands'>;

/** Whether a cable fits, in a word. */
export const MatchChip = ({ match }: { match: Matched }) => {
  const { mark, tone } = looks[match.verdict];
  return (
    <Chip tone={tone}>
      <Mark kind={mark} onDark={tone === 'stop'} />
      {match.label}
    </Chip>
  );
};

/** Where its adjusters would stand, of one that may be fitted. */
export const Lands = ({ match }: { match: Matched }) =>
  match.lands.length > 0 && match.verdict !== 'does_not_fit' ? (
    <Box textStyle="small">Adjusters would land: {match.lands.map((one) => `${one.name} ${one.say}`).join('; ')}</Box>
  ) : null;
