import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import { lastSeen, type OutcomeTable, type Setting } from '../../../api/beside';
import { Sheet } from '../../../components/Buttons';
import { Mark, type MarkKind, MarkShape } from '../../../components/Marks';
import { useWidth } from '../../../lib/useWidth';
import { paint } from '../../../theme/paint';
import { useBench } from '../useBench';

/** What the machine does at each of its settings, drawn as the thing itself: a wheel on its disc, an arm over notches, or a range. */
export const TablePanel = ({ table }: { table: OutcomeTable }) => {
  return (
    <Sheet padding="3" aria-label={`What the ${table.arm} does`} data-table>
      <Flex justifyContent="space-between" alignItems="baseline" gap="3" marginBottom="1" flexWrap="wrap">
        <Heading as="h2" fontSize="lg">
          {headings[table.drawing]}
        </Heading>
        <Box textStyle="small">
          <Legend />
        </Box>
      </Flex>
      {table.drawing === 'disc' ? <Disc table={table} /> : <Lanes table={table} arm={table.drawing === 'notches'} />}
    </Sheet>
  );
};

const headings = {
  disc: 'Wheel on its disc',
  notches: 'Arm and notches',
  lanes: 'What it does',
} as const satisfies Record<OutcomeTable['drawing'], string>;

const Legend = () => (
  <Flex gap="3" flexWrap="wrap">
    <Flex gap="1" alignItems="center">
      <Mark kind="inside" size="small" /> as it should
    </Flex>
    <Flex gap="1" alignItems="center">
      <Mark kind="wrong" size="small" /> not
    </Flex>
    <Flex gap="1" alignItems="center">
      <Mark kind="to_do" size="small" /> to be tried
    </Flex>
  </Flex>
);

const markOf = (setting: Setting): MarkKind => (setting.right ? 'inside' : setting.wrong ? 'wrong' : 'to_do');

/** Which setting the question on the screen is about. */
function useAsked(): string | null {
  const { item } = useBench();
  return item?.topic === 'outcome' ? item.of : null;
}

const WIDE = 660;
const TALL = 192;
const LEVEL = 96;

/** Words over the edge of the disc are read before it. */
const HALO = {
  fontSize: 15,
  fontWeight: 'bold',
  fill: paint.ink,
  stroke: paint.sheet,
  strokeWidth: 5,
  paintOrder: 'stroke',
} as const;

/** The disc from its side: reverse on one side of the centre, forward on the other, faster further out. */
const Disc = ({ table }: { table: OutcomeTable }) => {
  const asked = useAsked();
  const [box, width] = useWidth<HTMLDivElement>(WIDE);
  const wide = Math.max(width, 320);
  const ats = table.settings.map((one) => one.at);
  const [least, most] = [Math.min(...ats), Math.max(...ats)];
  const edge = wide < 480 ? 26 : 56;
  const x = (at: number) => edge + ((wide - 2 * edge) * (at - least)) / Math.max(1e-9, most - least);
  const centre = x(0);
  const here = table.settings.find((one) => one.key === asked);
  const radius = Math.max(centre - x(least), x(most) - centre) + 34;
  const { shift } = table.advice;
  return (
    <Box ref={box} overflowX="auto">
      <svg
        width={wide}
        height={TALL}
        role="img"
        aria-label={table.settings.map((one) => `${one.label}: ${lastSeen(one)?.label ?? 'not tried'}`).join('; ')}
      >
        <Plate wide={wide} centre={centre} radius={radius} />
        <text x={centre - 10} y="20" textAnchor="end" {...HALO}>
          ◀ {side(table.minus)}
        </text>
        <text x={centre + 10} y="20" {...HALO}>
          {side(table.plus)} ▶
        </text>
        <path d={`M30 ${LEVEL}H${wide - 30}`} stroke={paint['steel.dark']} strokeWidth="4" strokeLinecap="round" />
        {here !== undefined && (
          <rect x={x(here.at) - 11} y={LEVEL - 42} width="22" height="84" rx="8" fill={paint.ink} opacity="0.9" />
        )}
        {table.settings.map((one) => (
          <g key={one.key} transform={`translate(${x(one.at)} ${LEVEL})`}>
            <path d="M0 -14V14" stroke={one.key === asked ? paint.sheet : paint['steel.dark']} strokeWidth="3" />
            <g transform="translate(0 58)">
              <Goes setting={one} />
            </g>
            <g transform="translate(0 84)">
              <MarkShape kind={markOf(one)} r={7} />
            </g>
            <text y="-50" textAnchor="middle" fontSize="17" fontWeight="bold" fill={paint.ink}>
              {one.label}
            </text>
          </g>
        ))}
        {shift !== null && <ShiftArrow centre={centre} to={x(shift)} />}
      </svg>
    </Box>
  );
};

/** The arrow beside it says *towards*. */
const side = (way: string) => way.replace(/^towards /, '');

/** The disc itself, as a plate seen from its side. */
const Plate = ({ wide, centre, radius }: { wide: number; centre: number; radius: number }) => (
  <>
    <clipPath id="disc-clip">
      <rect width={wide} height={TALL} />
    </clipPath>
    <g clipPath="url(#disc-clip)">
      <ellipse
        cx={centre}
        cy={LEVEL}
        rx={radius}
        ry="82"
        fill={paint['steel.light']}
        stroke={paint['steel.mid']}
        strokeWidth="2"
      />
      <ellipse
        cx={centre}
        cy={LEVEL}
        rx={radius * 0.62}
        ry="50"
        fill="none"
        stroke={paint['steel.mid']}
        opacity="0.6"
      />
      <ellipse cx={centre} cy={LEVEL} rx={radius * 0.3} ry="24" fill="none" stroke={paint['steel.mid']} opacity="0.6" />
      <path d={`M${centre} 8V${TALL - 20}`} stroke={paint.ink} strokeWidth="1.5" strokeDasharray="4 4" />
      <circle cx={centre} cy={LEVEL} r="6" fill={paint.ink} />
    </g>
  </>
);

const ShiftArrow = ({ centre, to }: { centre: number; to: number }) => (
  <g transform={`translate(${centre} ${LEVEL - 22})`} data-shift>
    <path d={`M0 0H${to - centre}`} stroke={paint.action} strokeWidth="6" strokeLinecap="round" />
    <path
      d={`M${to - centre} 0l${to < centre ? 14 : -14} -10v20z`}
      fill={paint.action}
      stroke={paint.action}
      strokeLinejoin="round"
    />
  </g>
);

/** Which way the wheels went there: an arrow, or a bar for nothing. */
const Goes = ({ setting }: { setting: Setting }) => {
  const saw = lastSeen(setting);
  const colour = setting.wrong ? paint.stop : setting.right ? paint.inside : paint.found;
  if (saw === undefined) return null;
  const [back, ahead] = [saw.low === null, saw.high === null];
  // What could be on either side of the centre went neither way.
  if (back === ahead) return <path d="M-8 0H8" stroke={colour} strokeWidth="5" strokeLinecap="round" />;
  return (
    <path
      d={back ? 'M10 -8V8L-10 0Z' : 'M-10 -8V8L10 0Z'}
      fill={setting.now === null ? 'none' : colour}
      stroke={colour}
      strokeWidth="2.5"
      strokeLinejoin="round"
    />
  );
};

/** What could be seen at a setting, from too far one way to too far the other, and where it was found and is. */
const Lanes = ({ table, arm }: { table: OutcomeTable; arm: boolean }) => (
  <Grid templateColumns={{ base: '1fr', md: `repeat(${table.settings.length}, 1fr)` }} gap="3">
    {table.settings.map((one, n) => (
      <Lane key={one.key} setting={one} table={table} turn={arm ? (n - (table.settings.length - 1) / 2) * 26 : null} />
    ))}
  </Grid>
);

const Place = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: '{sizes.6} 1fr',
    alignItems: 'center',
    columnGap: '2',
    paddingInline: '2',
    paddingBlock: '1.5',
    minHeight: '10',
    lineHeight: 'snug',
    fontSize: 'sm',
  },
});

const Lane = ({ setting, table, turn }: { setting: Setting; table: OutcomeTable; turn: number | null }) => {
  const asked = useAsked() === setting.key;
  const told = setting.sees.filter((one) => one.low !== null || one.high !== null);
  // From the table's minus to its plus, as the arm would pass them.
  const order = [...told].sort((a, b) => (a.low ?? -1e9) - (b.low ?? -1e9));
  return (
    <Box
      borderWidth="thick"
      borderColor={asked ? 'action' : 'line'}
      borderRadius="md"
      bg={asked ? 'vivid.wash' : 'well'}
      padding="2"
    >
      <Flex justifyContent="space-between" alignItems="center" gap="2">
        <Box fontFamily="heading" fontWeight="bold" fontSize="lg" lineHeight="tight">
          {setting.label}
        </Box>
        <Mark kind={markOf(setting)} />
      </Flex>
      {turn !== null && <Notch turn={turn} setting={setting} />}
      <Box marginTop="1" bg="sheet" borderRadius="sm" borderWidth="thin" borderColor="line">
        <Box textStyle="small" paddingInline="2" paddingTop="1">
          {table.minus}
        </Box>
        {order.map((one) => (
          <Place
            key={one.key}
            bg={one.key === setting.wants ? 'petrol.wash' : 'transparent'}
            fontWeight={one.key === setting.now ? 'bold' : 'normal'}
          >
            <span>
              {one.key === setting.now ? (
                <Mark kind="now" size="text" />
              ) : one.key === setting.found ? (
                <Mark kind="found" size="text" />
              ) : null}
            </span>
            {one.label}
          </Place>
        ))}
        <Box textStyle="small" paddingInline="2" paddingBottom="1">
          {table.plus}
        </Box>
      </Box>
    </Box>
  );
};

/** The arm over its notches: in the notch when right, beside it when not. */
const Notch = ({ turn, setting }: { turn: number; setting: Setting }) => {
  const seen = lastSeen(setting);
  const off = seen === undefined || setting.right ? 0 : seen.low === null ? -11 : seen.high === null ? 11 : 0;
  const wrong = off !== 0;
  return (
    <svg viewBox="-70 -76 140 84" width="100%" height="84" aria-hidden="true">
      <path d="M-62 -26A66 66 0 0 1 62 -26" fill="none" stroke={paint['steel.mid']} strokeWidth="11" />
      {[-26, 0, 26].map((angle) => (
        <g key={angle} transform={`rotate(${angle})`}>
          <path d="M-7 -73H7L4 -60H-4Z" fill={angle === turn ? paint.inside : paint['graphite.edge']} />
        </g>
      ))}
      <g transform={`rotate(${turn + off})`}>
        <path
          d="M0 4V-58"
          stroke={setting.now === null && setting.found === null ? paint['steel.mid'] : wrong ? paint.found : paint.ink}
          strokeWidth="9"
          strokeLinecap="round"
        />
      </g>
      <circle r="9" fill={paint['steel.dark']} />
    </svg>
  );
};
