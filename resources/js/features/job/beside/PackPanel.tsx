import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import type { Pack } from '../../../api/beside';
import { Button, Field, FieldLabel, Sheet } from '../../../components/Buttons';
import { Mark, type MarkKind } from '../../../components/Marks';
import { counted, lengthText, lengthTyped, lengthUnit, shortLength, torqueText } from '../../../lib/figures';
import { moment } from '../../../lib/time';
import { paint, size } from '../../../theme/paint';
import { useBench } from '../useBench';

const markOf = (verdict: string): MarkKind =>
  verdict === 'inside' ? 'inside' : verdict === 'cant_tell' ? 'cant_tell' : 'wrong';

/** Plates and springs, numbered as they come out; each measured, each against its limit, and the star for the bolts. */
export const PackPanel = ({ pack }: { pack: Pack }) => (
  <Sheet padding="3" aria-label="Plates and springs" data-pack>
    <Flex justifyContent="space-between" alignItems="baseline" gap="3" flexWrap="wrap">
      <Heading as="h2" fontSize="lg">
        Plates and springs
      </Heading>
      {pack.stack_mm !== null && (
        <Box textStyle="small">
          friction stack {lengthText(pack.stack_mm, 2)} {lengthUnit()}
        </Box>
      )}
    </Flex>
    <Grid templateColumns={{ base: '1fr', md: '1fr {sizes.44}' }} gap="4" marginTop="2">
      <Box>
        {pack.kinds
          .filter((kind) => kind.count > 0)
          .map((kind) => (
            <Kind key={kind.key} pack={pack} kind={kind} />
          ))}
      </Box>
      <Star pack={pack} />
    </Grid>
    <Box fontWeight="bold" lineHeight="snug" fontSize="sm" marginTop="2">
      {pack.sentence}
    </Box>
    <Findings pack={pack} />
    <Soak pack={pack} />
  </Sheet>
);

const findings = [
  { key: 'sound', word: 'Sound' },
  { key: 'noted', word: 'Worn' },
  { key: 'fault', word: 'Fault' },
] as const;

/** What no figure tells: heat, ridges and grooves. A fault is mended or replaced before the job may end. */
const Findings = ({ pack }: { pack: Pack }) => {
  const { send, mayWrite } = useBench();
  return (
    <Grid gap="2" marginTop="3" aria-label="Looked over in the pack" role="group">
      {pack.findings.map((one) => (
        <Flex
          key={one.key}
          alignItems="center"
          gap="2"
          flexWrap="wrap"
          borderTopWidth="thin"
          borderColor="line"
          paddingTop="2"
          data-pack-finding={one.key}
        >
          <Box flex="1 1 {sizes.44}" minWidth="0" lineHeight="snug">
            <b>{one.label}</b>
            <Box textStyle="small">{one.look_for}</Box>
          </Box>
          <Flex gap="1" role="group" aria-label={one.label}>
            {findings.map(({ key, word }) => (
              <Button
                key={key}
                look={one.finding === key ? 'dark' : 'plain'}
                aria-pressed={one.finding === key}
                disabled={!mayWrite}
                paddingInline="3"
                onClick={() => send({ kind: 'inspected', body: { key: one.key, finding: key } })}
              >
                {word}
              </Button>
            ))}
          </Flex>
        </Flex>
      ))}
    </Grid>
  );
};

/** New friction plates lie in oil a day before they go in. */
const Soak = ({ pack }: { pack: Pack }) => {
  const { send, mayWrite } = useBench();
  if (pack.soaking_since === null)
    return mayWrite ? (
      <Button look="quiet" marginTop="2" onClick={() => send({ kind: 'soak', body: {} })} data-soak>
        New friction plates laid in oil
      </Button>
    ) : null;
  const ready = new Date(Date.parse(pack.soaking_since) + pack.soak_hours * 3_600_000).toISOString();
  return (
    <Box marginTop="2" lineHeight="snug" data-soaking>
      New plates in oil since {moment(pack.soaking_since)}: ready {moment(ready)}.
    </Box>
  );
};

const Kind = ({ pack, kind }: { pack: Pack; kind: Pack['kinds'][number] }) => {
  const { mayWrite, picking, pick } = useBench();
  const chosen = picking?.key === kind.key ? Number(picking.of) : null;
  const life = pack.lives.find((one) => one.key === kind.key);
  const limit =
    kind.low !== null
      ? `at least ${shortLength(kind.low)}`
      : kind.high !== null
        ? `at most ${shortLength(kind.high)}`
        : 'no limit given';
  return (
    <Box marginBottom="3">
      <Flex justifyContent="space-between" gap="2" alignItems="baseline">
        <Box fontFamily="heading" fontWeight="bold">
          {kind.label}
        </Box>
        <Box textStyle="small">
          {limit} {lengthUnit()}
          {life !== undefined && (
            <Box as="span" data-life>
              {' '}
              · about {counted(Math.round(life.left))} {life.unit} left, from {life.inspections} inspections
            </Box>
          )}
        </Box>
      </Flex>
      <Flex gap="1.5" flexWrap="wrap" marginTop="1">
        {Array.from({ length: kind.count }, (_, n) => n + 1).map((n) => {
          const item = pack.items.find((one) => one.key === kind.key && one.of === String(n));
          return (
            <Button
              key={n}
              look={chosen === n ? 'dark' : 'quiet'}
              paddingInline="2"
              disabled={!mayWrite}
              onClick={() => pick(chosen === n ? null : { key: kind.key, of: String(n), label: `${kind.label} ${n}` })}
              aria-pressed={chosen === n}
              aria-label={`${kind.label} ${n}${item === undefined ? ', not measured' : `, ${lengthText(item.mean, kind.decimals)} ${lengthUnit()}, ${item.sentence}`}`}
              data-plate={`${kind.key} ${n}`}
              fontFamily="body"
              fontSize="sm"
              gap="1"
            >
              <b>{n}</b> {item === undefined ? '–' : lengthText(item.mean, kind.decimals)}
              {item !== undefined && <Mark kind={markOf(item.verdict)} size="small" />}
            </Button>
          );
        })}
      </Flex>
      {chosen !== null && <Value key={chosen} kind={kind} of={chosen} />}
    </Box>
  );
};

const Value = ({ kind, of }: { kind: Pack['kinds'][number]; of: number }) => {
  const { send } = useBench();
  const [typed, setTyped] = useState('');
  const value = lengthTyped(typed);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (value === undefined) return;
        send({ kind: 'measure', body: { key: kind.key, value, entered: typed.trim(), of: String(of) } });
        setTyped('');
      }}
    >
      <FieldLabel htmlFor={`value-${kind.key}`} marginTop="2">
        {kind.label} {of}: {kind.how_to}
      </FieldLabel>
      <Flex gap="2">
        <Field
          id={`value-${kind.key}`}
          inputMode="decimal"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          placeholder={lengthUnit()}
          autoFocus
        />
        <Button type="submit" look="dark" disabled={value === undefined} data-log-plate>
          Log
        </Button>
      </Flex>
    </form>
  );
};

/** The bolts round their circle, joined in the order in which they are tightened. */
const Star = ({ pack }: { pack: Pack }) => {
  const n = pack.star_order.length;
  if (n < 3) return null;
  const at = (bolt: number) => {
    const angle = (2 * Math.PI * (bolt - 1)) / n - Math.PI / 2;
    return [56 * Math.cos(angle), 56 * Math.sin(angle)] as const;
  };
  return (
    <Box textAlign="center">
      <svg
        viewBox="-80 -80 160 160"
        width="100%"
        style={{ maxWidth: size('44') }}
        role="img"
        aria-label={`Tighten in the order ${pack.star_order.join(', ')}`}
      >
        <circle r="56" fill="none" stroke={paint['steel.mid']} strokeWidth="10" />
        <polyline
          points={pack.star_order.map((bolt) => at(bolt).join(',')).join(' ')}
          fill="none"
          stroke={paint.action}
          strokeWidth="2.5"
        />
        {pack.star_order.map((bolt, order) => {
          const [x, y] = at(bolt);
          return (
            <g key={bolt} transform={`translate(${x} ${y})`}>
              <circle r="15" fill={paint.ink} />
              <text textAnchor="middle" y="6" fontSize="17" fontWeight="bold" fill={paint.sheet}>
                {order + 1}
              </text>
            </g>
          );
        })}
      </svg>
      <Box textStyle="small">
        {pack.bolt_nm === null ? 'Torque: by the book' : torqueText(pack.bolt_nm)}, in a star, in two rounds
      </Box>
    </Box>
  );
};
