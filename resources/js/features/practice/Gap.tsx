import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { PracticeMachine } from '../../api/practice';
import { PickOne } from '../../components/PickOne';
import { capital } from '../../lib/capital';
import { lengthText, lengthUnit } from '../../lib/figures';
import { paint } from '../../theme/paint';
import { Range } from './Range';

type Instrument = PracticeMachine['instruments'][number];

/** Thinner than the gap by less than this it drags; thicker it does not go in. */
const DRAGS_MM = 0.08;
/** The thickest that blades make up together. */
const THICKEST_MM = 5;

/** A blade or a coin is slipped into the gap: it goes in loose, drags a little, or does not go in. */
export const Gap = ({ mm, instrument }: { mm: number; instrument: Instrument }) => {
  const step = instrument.resolution_mm;
  const [thick, setThick] = useState(instrument.sizes[0]?.mm ?? step);
  const felt: Felt = thick > mm + step / 2 ? 'none' : thick > mm - Math.max(DRAGS_MM, step / 2) ? 'drags' : 'loose';
  return (
    <Flex direction="column" gap="3" data-gap={mm}>
      {instrument.sizes.length > 0 ? (
        <PickOne
          says="Which coin"
          mark="coin"
          options={instrument.sizes.map((one) => ({ key: one.size, label: capital(one.size) }))}
          value={instrument.sizes.find((one) => one.mm === thick)?.size ?? null}
          onPick={(size) => setThick(instrument.sizes.find((one) => one.size === size)?.mm ?? thick)}
        />
      ) : (
        <Box>
          <Box asChild textStyle="eyebrow">
            <label htmlFor="practice-blade">Blades together, {`${lengthText(thick, 2)} ${lengthUnit()}`}</label>
          </Box>
          <Range
            id="practice-blade"
            type="range"
            min={step}
            max={THICKEST_MM}
            step={step}
            value={thick}
            onChange={(event) => setThick(Number(Number(event.target.value).toFixed(3)))}
            aria-valuetext={`${lengthText(thick, 2)} ${lengthUnit()}`}
            data-blade
          />
        </Box>
      )}
      <Drawn felt={felt} />
      <Box role="status" fontWeight="bold" fontSize="xl" data-felt={felt}>
        {felt === 'none'
          ? 'It does not go in.'
          : felt === 'drags'
            ? 'It goes in and drags a little.'
            : 'It goes in loose.'}
      </Box>
      <Box color="soft" lineHeight="snug">
        Type the one that drags a little.
      </Box>
    </Flex>
  );
};

type Felt = 'none' | 'drags' | 'loose';
const WIDE: Record<Felt, number> = { loose: 34, drags: 58, none: 70 };

/** Perch and lever, and what is slipped between them. */
const Drawn = ({ felt }: { felt: Felt }) => (
  <Box asChild width="100%" height="24">
    <svg viewBox="0 0 600 120" aria-hidden="true">
      <rect x="90" y="44" width="180" height="70" rx="10" fill={paint['steel.dark']} />
      <rect x="330" y="44" width="180" height="70" rx="10" fill={paint['steel.dark']} />
      {['Perch', 'Lever'].map((name, place) => (
        <text key={name} x={180 + 240 * place} y="88" textAnchor="middle" fontSize="26" fill={paint['steel.light']}>
          {name}
        </text>
      ))}
      <rect
        x={300 - WIDE[felt] / 2}
        y={felt === 'none' ? 0 : 14}
        width={WIDE[felt]}
        height={felt === 'none' ? 42 : 94}
        rx="4"
        fill={paint.action}
      />
    </svg>
  </Box>
);
