import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import { memo, useState } from 'react';
import type { LogRow } from '../../api/jobs';
import { Sheet } from '../../components/Buttons';
import { Mark, type MarkKind } from '../../components/Marks';
import { change, lengthText, withUncertainty } from '../../lib/figures';
import { clock } from '../../lib/time';
import { EntryDialog } from './EntryDialog';
import { type ShownRow, shownRows } from './logGroups';
import { useBench } from './useBench';

/** One set of styles for the whole table: a long log is drawn again with every answer. */
const Table = chakra('table', {
  base: {
    fontSize: 'sm',
    fontVariantNumeric: 'tabular-nums',
    '& th': {
      paddingInline: '2',
      paddingBlock: '1',
      textAlign: 'left',
      fontWeight: 'bold',
      color: 'soft',
      position: 'sticky',
      top: '0',
      bg: 'sheet',
    },
    '& td': {
      paddingInline: '2',
      paddingBlock: '1.5',
      borderTopWidth: 'thin',
      borderColor: 'line',
      verticalAlign: 'top',
      lineHeight: 'snug',
    },
    width: 'full',
    // On a phone two columns are left, and what the others tell stands below what was done.
    '& [data-wide]': { display: { base: 'none', md: 'table-cell' } },
    '& [data-below]': { display: { base: 'flex', md: 'none' }, flexWrap: 'wrap', columnGap: '3', color: 'soft' },
    '& [data-below] b': { color: 'ink' },
    '& [data-figure]': { whiteSpace: 'nowrap' },
    '& [data-what]': { display: 'flex', gap: '2', overflowWrap: 'anywhere' },
    '& [data-voided=true]': { color: 'soft' },
    '& s + span': { display: 'block' },
    '& button': {
      minWidth: '6',
      minHeight: '6',
      paddingInline: '1.5',
      textDecoration: 'underline',
      cursor: 'pointer',
      _hover: { color: 'actionText' },
      '@media (any-pointer: coarse)': { minWidth: 'touch', minHeight: 'touch' },
    },
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
      minHeight={{ lg: '36' }}
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
        <Table>
          <thead>
            <tr>
              <th scope="col">Time</th>
              <th scope="col">What</th>
              <th scope="col" data-wide>
                Reading
              </th>
              <th scope="col" data-wide>
                Change
              </th>
              <th scope="col" data-wide>
                Says
              </th>
              <th scope="col" data-wide>
                By
              </th>
            </tr>
          </thead>
          <tbody>
            {shownRows(state.log).map((shown) => (
              <Row key={shown.kind === 'entry' ? shown.row.id : shown.last.id} shown={shown} open={setOpen} />
            ))}
          </tbody>
        </Table>
      </Box>
      {open !== null && <EntryDialog row={open} onClose={() => setOpen(null)} />}
    </Sheet>
  );
};

const marks: Readonly<Record<string, MarkKind>> = {
  reading: 'now',
  move: 'next',
  thread: 'quiet',
  check: 'quiet',
  confirmed: 'inside',
  all_confirmed: 'inside',
  inspected: 'inside',
  tag: 'tag',
};

const Row = memo(({ shown, open }: { shown: ShownRow; open: (row: LogRow) => void }) => {
  const last = shown.kind === 'entry' ? shown.row : shown.last;
  const reading = last.mean_mm === null ? null : withUncertainty(last.mean_mm, last.expanded_mm);
  const changed = last.change_mm === null ? null : change(last.change_mm);
  return (
    <tr data-entry={last.kind} data-voided={last.voided !== null}>
      <td>
        {clock(last.at)}
        <div data-below>{last.by}</div>
      </td>
      <td>
        <div data-what>
          <Mark kind={marks[last.kind] ?? 'quiet'} size="small" style={{ marginTop: '4px' }} />
          <div>
            {shown.kind === 'readings' ? (
              <Readings rows={shown.rows} open={open} />
            ) : (
              <Words row={shown.row} open={open} />
            )}
            <div data-below>
              {reading !== null && <b>{reading}</b>}
              {changed !== null && <span>change {changed}</span>}
              {last.says !== null && <span>{last.says}</span>}
            </div>
          </div>
        </div>
      </td>
      <td data-figure data-wide>
        <b>{reading}</b>
      </td>
      <td data-figure data-wide>
        {changed}
      </td>
      <td data-wide>{last.says ?? ''}</td>
      <td data-wide>{last.by}</td>
    </tr>
  );
}, sameRow);

/** Rows of a log never change but by being taken back, put right, or regrouped. */
function sameRow(a: { shown: ShownRow }, b: { shown: ShownRow }): boolean {
  return JSON.stringify(a.shown) === JSON.stringify(b.shown);
}

const Words = ({ row, open }: { row: LogRow; open: (row: LogRow) => void }) => (
  <>
    {row.voided === null ? <span>{row.what}</span> : <s>{row.what}</s>}
    {row.voided !== null && <span>taken back: {row.voided}</span>}
    {(row.can_void || row.can_amend) && (
      <button type="button" onClick={() => open(row)}>
        Change
      </button>
    )}
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
      {rows.map((row) => {
        const figure = lengthText(row.mm ?? 0, decimals(row.mm ?? 0));
        return row.can_void || row.can_amend ? (
          <button key={row.id} type="button" onClick={() => open(row)} aria-label={`${figure}, change this reading`}>
            {figure}
          </button>
        ) : (
          <span key={row.id}> {figure}</span>
        );
      })}
    </>
  );
};

const decimals = (value: number) => (Math.abs(value * 10 - Math.round(value * 10)) < 1e-6 ? 1 : 2);
