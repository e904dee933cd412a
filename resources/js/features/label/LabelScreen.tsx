import { Box, Flex } from '@chakra-ui/react';
import { Global } from '@emotion/react';
import { useQuery } from '@tanstack/react-query';
import QRCode from 'qrcode';
import { useState } from 'react';
import { useParams } from 'react-router';
import { type Machine, machineQuery } from '../../api/machines';
import { Button, LinkButton } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { PickOne } from '../../components/PickOne';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { paint } from '../../theme/paint';
import { system } from '../../theme/system';

/** Common sizes of label rolls, in mm. */
const sizes = [
  { key: '62x29', label: '62 × 29 mm', width: 62, height: 29 },
  { key: '89x36', label: '89 × 36 mm', width: 89, height: 36 },
  { key: '100x50', label: '100 × 50 mm', width: 100, height: 50 },
  { key: '54x70', label: '54 × 70 mm', width: 54, height: 70 },
] as const;
type Size = (typeof sizes)[number];

/** The tag as it hangs on the machine, with a code that opens its page. */
export default function LabelScreen() {
  const { tag = '' } = useParams();
  const { data, error, refetch } = useQuery(machineQuery(tag));
  return (
    <Frame>
      {data !== undefined ? (
        <Whole machine={data} />
      ) : error === null ? (
        <Loading what={tag} />
      ) : (
        <Failure error={error} retry={() => refetch()} />
      )}
    </Frame>
  );
}

const Whole = ({ machine }: { machine: Machine }) => {
  const [key, setKey] = useState<string>(sizes[1].key);
  const size = sizes.find((one) => one.key === key) ?? sizes[1];
  const address = `${window.location.origin}/machines/${encodeURIComponent(machine.tag)}`;
  return (
    <>
      <Global
        styles={{
          '@page': { size: `${size.width}mm ${size.height}mm`, margin: 0 },
          '@media screen': { '[data-label]': { zoom: 1.8, maxWidth: '100%' } },
          '@media print': {
            'body, main': { margin: '0 !important', padding: '0 !important', background: 'none !important' },
          },
        }}
      />
      <Flex alignItems="center" gap="4" flexWrap="wrap" marginBottom="4" data-screen-only>
        <Title marginRight="auto">Tag label for {machine.tag}</Title>
        <LinkButton to={`/machines/${encodeURIComponent(machine.tag)}`} look="quiet" textDecoration="none">
          Back
        </LinkButton>
        <Button look="vivid" onClick={() => window.print()} data-primary>
          Print it
        </Button>
      </Flex>
      <Box marginBottom="4" data-screen-only>
        <PickOne says="Size of the label" mark="size" options={sizes} value={key} onPick={setKey} />
      </Box>
      <Label machine={machine} size={size} address={address} />
      <Box textStyle="small" marginTop="3" data-screen-only>
        The code opens {address}. A phone on the shop's network reads it with its own camera.
      </Box>
    </>
  );
};

const heading = system.token.var('fonts.heading');
const body = system.token.var('fonts.body');

type LabelProps = { machine: Machine; size: Size; address: string };

/** Drawn in millimetres, so that it prints as large as it says. */
const Label = ({ machine, size, address }: LabelProps) => {
  const upright = size.height > size.width;
  const pad = 2.5;
  const side = upright ? size.width - 2 * pad : size.height - 2 * pad;
  const stop = machine.controls.some((one) => one.tag !== null);
  const textAt = upright ? { x: pad, y: side + pad + 8 } : { x: side + pad + 3, y: size.height * 0.38 };
  const room = upright ? size.width - 2 * pad : size.width - side - 2 * pad - 4;
  const big = Math.min(upright ? 11 : size.height * 0.34, (room / machine.tag.length) * 1.75);
  return (
    <svg
      width={`${size.width}mm`}
      height={`${size.height}mm`}
      viewBox={`0 0 ${size.width} ${size.height}`}
      role="img"
      aria-label={`Label ${machine.tag}`}
      data-label
      style={{ display: 'block' }}
    >
      <rect width={size.width} height={size.height} fill={paint['yellow.tag']} />
      <circle cx={size.width - 5} cy={5} r={2.2} fill={paint.sheet} stroke={paint.ink} strokeWidth="0.5" />
      <Code text={address} x={pad} y={pad} side={side} />
      <text x={textAt.x} y={textAt.y} style={{ fontFamily: heading }} fontWeight="800" fontSize={big} fill={paint.ink}>
        {machine.tag}
      </text>
      <text
        x={textAt.x}
        y={textAt.y + big * 0.55}
        style={{ fontFamily: body }}
        fontSize={Math.min(3.4, big * 0.36)}
        fill={paint.ink}
      >
        {machine.name}
      </text>
      <text
        x={textAt.x}
        y={textAt.y + big * 0.55 + Math.min(3.4, big * 0.36) * 1.25}
        style={{ fontFamily: body }}
        fontSize={Math.min(2.8, big * 0.3)}
        fill={paint.ink}
      >
        {machine.place}
      </text>
      {stop && (
        <text
          x={textAt.x}
          y={size.height - pad}
          style={{ fontFamily: heading }}
          fontWeight="800"
          fontSize={Math.min(4.2, big * 0.4)}
          fill={paint.stop}
        >
          DO NOT RUN
        </text>
      )}
    </svg>
  );
};

/** A QR code on white with its quiet zone of four modules. */
const Code = ({ text, x, y, side }: { text: string; x: number; y: number; side: number }) => {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const quiet = 4;
  const one = side / (modules.size + 2 * quiet);
  const path = Array.from({ length: modules.size ** 2 }, (_, n) => n)
    .filter((n) => modules.data[n] === 1)
    .map((n) => `M${(n % modules.size) + quiet} ${Math.floor(n / modules.size) + quiet}h1v1h-1z`)
    .join('');
  return (
    <g transform={`translate(${x} ${y})`}>
      <rect width={side} height={side} rx="1" fill={paint.sheet} />
      <path d={path} transform={`scale(${one})`} fill={paint.ink} shapeRendering="crispEdges" />
    </g>
  );
};
