import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import type { InstrumentCheck, KeptCheck } from '../../api/shelf';
import { Button } from '../../components/Buttons';
import { Entry } from '../../components/Entry';
import { unitText } from '../../lib/figures';
import { CheckActions } from './CheckActions';
import { readingsTyped } from './checkWords';
import { useCheck } from './useCheck';

type Row = { key: number; size: string; readings: string };
type Props = { id: string; unit: 'mm' | 'N'; onKept: (checks: readonly KeptCheck[]) => void };

const empty = (key: number): Row => ({ key, size: '', readings: '' });

/** Blocks, or weights, whose size is known: each laid on anew for each reading. */
export const BlocksForm = ({ id, unit, onKept }: Props) => {
  const [rows, setRows] = useState<readonly Row[]>([empty(0), empty(1), empty(2)]);
  const [known, setKnown] = useState('');
  const ask = useCheck(id, (checks) => {
    setRows([empty(0), empty(1), empty(2)]);
    onKept(checks);
  });
  const named = unit === 'mm' ? 'mm' : 'n';
  const filled = rows.filter((row) => row.size.trim() !== '' || row.readings.trim() !== '');
  const check = {
    kind: 'blocks',
    ...(known.trim() === '' ? {} : { [`known_${named}`]: known.trim() }),
    blocks: filled.map((row) => ({
      [`size_${named}`]: row.size.trim(),
      [`readings_${named}`]: readingsTyped(row.readings, unit),
    })),
  } as InstrumentCheck;
  const set = (key: number, change: Partial<Row>) => {
    ask.reset();
    setRows(rows.map((row) => (row.key === key ? { ...row, ...change } : row)));
  };
  return (
    <Flex direction="column" gap="3">
      <Box lineHeight="snug" maxWidth="184">
        Lay each {unit === 'mm' ? 'block' : 'weight'} on anew for each reading, three times at least, over the range you
        use. Clean faces, all at the same warmth.
      </Box>
      {rows.map((row, n) => (
        <Grid key={row.key} templateColumns={{ base: '1fr 2fr', md: '{sizes.40} 1fr' }} gap="3">
          <Entry
            label={unit === 'mm' ? `Block ${n + 1}` : `Weight ${n + 1}`}
            unit={unit}
            value={row.size}
            onChange={(size) => set(row.key, { size })}
            most={14}
            name={`size-${n}`}
          />
          <Entry
            label={`What it showed, ${unitText(unit)}`}
            value={row.readings}
            onChange={(readings) => set(row.key, { readings })}
            most={400}
            name={`readings-${n}`}
          />
        </Grid>
      ))}
      <Grid templateColumns={{ base: '1fr', md: '{sizes.40} 1fr' }} gap="3" alignItems="end">
        <Entry label="They are known to ±" unit={unit} value={known} onChange={setKnown} most={14} name="known" />
        <Box>
          <Button look="quiet" onClick={() => setRows([...rows, empty(rows.length)])}>
            One more {unit === 'mm' ? 'block' : 'weight'}
          </Button>
        </Box>
      </Grid>
      <CheckActions ask={ask} check={check} ready={filled.length > 0} />
    </Flex>
  );
};
