import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import type { LogRow } from '../../api/jobs';
import { Button, Sheet } from '../../components/Buttons';
import { Mark, type MarkKind } from '../../components/Marks';
import { change, mm, withUncertainty } from '../../lib/figures';
import { clock } from '../../lib/time';
import { EntryDialog } from './EntryDialog';
import { type ShownRow, shownRows } from './logGroups';
import { useBench } from './useBench';

const Cell = chakra('td', {
  base: {
    paddingInline: '2',
    paddingBlock: '1.5',
    borderTopWidth: 'thin',
    borderColor: 'line',
    verticalAlign: 'top',
    lineHeight: 'snug',
  },
});
const Head = chakra('th', {
  base: {
    paddingInline: '2',
    paddingBlock: '1',
    textAlign: 'left',
    fontSize: 'sm',
    fontWeight: 'bold',
    color: 'soft',
    position: 'sticky',
    top: '0',
    bg: 'sheet',
  },
});

/** Everything that was done and read, newest first. A row leads to taking it back or putting it right. */
export const BenchLog = () => {
  const { state } = useBench();
  const [open, setOpen] = useState<LogRow | null>(null);
  const readings = state.log.filter((row) => row.kind === 'reading' && row.voided === null).length;
  const moves = state.log.filter((row) => row.kind === 'move' && row.voided === null).length;
  return (
    <Sheet
      padding="3"
      height={{ lg: '100%' }}
      display="flex"
      flexDirection="column"
      minHeight={{ lg: '9rem' }}
      aria-label="Bench log"
    >
      <Flex justifyContent="space-between" alignItems="baseline" gap="3">
        <Heading as="h2" fontSize="lg">
          Bench log
        </Heading>
        <Box textStyle="small">
          {readings === 1 ? '1 reading' : `${readings} readings`}, {moves === 1 ? '1 move' : `${moves} moves`}
        </Box>
      </Flex>
      <Box flex="1" minHeight="0" overflow="auto" tabIndex={0} role="region" aria-label="Entries">
        <chakra.table fontSize="sm">
          <thead>
            <tr>
              <Head scope="col" width="3.5rem">
                Time
              </Head>
              <Head scope="col">What</Head>
              <Head scope="col">Reading</Head>
              <Head scope="col">Change</Head>
              <Head scope="col" display={{ base: 'none', md: 'table-cell' }}>
                Says
              </Head>
              <Head scope="col" display={{ base: 'none', md: 'table-cell' }}>
                By
              </Head>
            </tr>
          </thead>
          <tbody>
            {shownRows(state.log).map((shown) => (
              <Row key={shown.kind === 'entry' ? shown.row.id : shown.last.id} shown={shown} open={setOpen} />
            ))}
          </tbody>
        </chakra.table>
      </Box>
      {open !== null && <EntryDialog row={open} onClose={() => setOpen(null)} />}
    </Sheet>
  );
};

const marks: Readonly<Record<string, MarkKind>> = {
  reading: 'now',
  move: 'next',
  thread: 'quiet',
  check: 'inside',
  confirmed: 'inside',
  inspected: 'inside',
  tag: 'tag',
};

const Row = ({ shown, open }: { shown: ShownRow; open: (row: LogRow) => void }) => {
  const last = shown.kind === 'entry' ? shown.row : shown.last;
  const voided = last.voided !== null;
  return (
    <chakra.tr
      data-entry={last.kind}
      data-voided={voided}
      color={voided ? 'soft' : 'ink'}
      fontVariantNumeric="tabular-nums"
    >
      <Cell>{clock(last.at)}</Cell>
      <Cell>
        <Flex gap="2">
          <Mark kind={marks[last.kind] ?? 'quiet'} size="0.8rem" marginTop="4px" />
          <Box minWidth="0" overflowWrap="anywhere">
            {shown.kind === 'readings' ? (
              <Readings rows={shown.rows} open={open} />
            ) : (
              <Words row={shown.row} open={open} />
            )}
          </Box>
        </Flex>
      </Cell>
      <Cell whiteSpace="nowrap" fontWeight="bold">
        {last.mean_mm === null ? '' : withUncertainty(last.mean_mm, last.expanded_mm)}
      </Cell>
      <Cell whiteSpace="nowrap">{last.change_mm === null ? '' : change(last.change_mm)}</Cell>
      <Cell display={{ base: 'none', md: 'table-cell' }}>{last.says ?? ''}</Cell>
      <Cell display={{ base: 'none', md: 'table-cell' }}>{last.by}</Cell>
    </chakra.tr>
  );
};

const Words = ({ row, open }: { row: LogRow; open: (row: LogRow) => void }) => (
  <>
    <Box as="span" textDecoration={row.voided === null ? 'none' : 'line-through'}>
      {row.what}
    </Box>
    {row.voided !== null && <Box>taken back: {row.voided}</Box>}
    {(row.can_void || row.can_amend) && <Change onClick={() => open(row)}>Change</Change>}
  </>
);

/** The readings of a group, each a way to take that one back. */
const Readings = ({ rows, open }: { rows: readonly LogRow[]; open: (row: LogRow) => void }) => {
  const first = rows[0];
  if (first === undefined) return null;
  const what =
    rows.length === 1 ? first.what : first.what.replace(/^Read \S+( \S+)* (?=at the)/, `${rows.length} readings `);
  return (
    <>
      {what}
      {': '}
      {rows.map((row) =>
        row.can_void || row.can_amend ? (
          <Change
            key={row.id}
            onClick={() => open(row)}
            says={`${mm(row.mm ?? 0, decimals(row.mm ?? 0))}, change this reading`}
          >
            {mm(row.mm ?? 0, decimals(row.mm ?? 0))}
          </Change>
        ) : (
          <Box as="span" key={row.id} marginRight="2">
            {mm(row.mm ?? 0, decimals(row.mm ?? 0))}
          </Box>
        ),
      )}
    </>
  );
};

const decimals = (value: number) => (Math.abs(value * 10 - Math.round(value * 10)) < 1e-6 ? 1 : 2);

const Change = ({ onClick, says, children }: { onClick: () => void; says?: string; children: React.ReactNode }) => (
  <Button
    look="link"
    minHeight="1.5rem"
    minWidth="1.5rem"
    paddingBlock="0"
    paddingInline="1.5"
    fontWeight="normal"
    onClick={onClick}
    aria-label={says}
  >
    {children}
  </Button>
);
