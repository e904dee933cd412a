import { Box, Flex, Grid } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { peopleQuery } from '../../api/people';
import type { InstrumentCheck, KeptCheck } from '../../api/shelf';
import { Button } from '../../components/Buttons';
import { Checked } from '../../components/Checked';
import { Entry } from '../../components/Entry';
import { unitText } from '../../lib/figures';
import { CheckActions } from './CheckActions';
import { readingsTyped } from './checkWords';
import { useCheck } from './useCheck';

type Piece = { key: number; name: string; readings: Readonly<Record<string, string>> };
type Props = { id: string; unit: 'mm' | 'N'; onKept: (checks: readonly KeptCheck[]) => void };

const begun: readonly Piece[] = [0, 1, 2].map((key) => ({ key, name: '', readings: {} }));

/** Several people measure several pieces, without seeing what the others read. */
export const StudyForm = ({ id, unit, onKept }: Props) => {
  const { data } = useQuery(peopleQuery);
  const [hands, setHands] = useState<readonly string[]>([]);
  const [pieces, setPieces] = useState(begun);
  const [ofPlay, setOfPlay] = useState(false);
  const ask = useCheck(id, (checks) => {
    setPieces(begun);
    onKept(checks);
  });
  const named = unit === 'mm' ? 'mm' : 'n';
  const filled = pieces.filter((piece) => hands.some((hand) => (piece.readings[hand] ?? '').trim() !== ''));
  const check = {
    kind: 'study',
    ...(ofPlay ? { of_play: true } : {}),
    readings: hands.flatMap((person) =>
      filled.map((piece) => ({
        person,
        piece: piece.name.trim() === '' ? `piece ${piece.key + 1}` : piece.name.trim(),
        [`readings_${named}`]: readingsTyped(piece.readings[person] ?? '', unit),
      })),
    ),
  } as InstrumentCheck;
  const set = (key: number, change: Partial<Piece>) => {
    ask.reset();
    setPieces(pieces.map((piece) => (piece.key === key ? { ...piece, ...change } : piece)));
  };
  const people = data?.people.filter((one) => one.role !== 'viewer') ?? [];
  const nameOf = (login: string) => people.find((one) => one.login === login)?.name ?? login;
  return (
    <Flex direction="column" gap="3">
      <Box lineHeight="snug" maxWidth="184">
        Everybody measures every piece equally often, in an order of chance, and without seeing what the others read.
      </Box>
      <Flex gap="2" wrap="wrap" role="group" aria-label="Whose hands">
        {people.map((one) => (
          <Button
            key={one.login}
            look={hands.includes(one.login) ? 'dark' : 'plain'}
            aria-pressed={hands.includes(one.login)}
            onClick={() =>
              setHands(hands.includes(one.login) ? hands.filter((hand) => hand !== one.login) : [...hands, one.login])
            }
            data-hand={one.login}
          >
            {one.name}
          </Button>
        ))}
      </Flex>
      {hands.length < 2 ? (
        <Box>Choose two people at least.</Box>
      ) : (
        <>
          {pieces.map((piece, n) => (
            <Grid
              key={piece.key}
              templateColumns={{ base: '1fr', md: `{sizes.36} repeat(${hands.length}, 1fr)` }}
              gap="3"
              data-piece={n}
            >
              <Entry
                label={`Piece ${n + 1}`}
                value={piece.name}
                onChange={(name) => set(piece.key, { name })}
                most={40}
                name={`piece-${n}`}
              />
              {hands.map((hand) => (
                <Entry
                  key={hand}
                  label={`${nameOf(hand)}, ${unitText(unit)}`}
                  value={piece.readings[hand] ?? ''}
                  onChange={(text) => set(piece.key, { readings: { ...piece.readings, [hand]: text } })}
                  most={400}
                  name={`${hand}-${n}`}
                />
              ))}
            </Grid>
          ))}
          <Box>
            <Button look="quiet" onClick={() => setPieces([...pieces, { key: pieces.length, name: '', readings: {} }])}>
              One more piece
            </Button>
          </Box>
          {unit === 'mm' && (
            <Checked
              checked={ofPlay}
              onChange={setOfPlay}
              about="Then it counts to how each of them repeats in jobs. On blocks a hand repeats better than on a lever."
              mark="of-play"
            >
              The pieces are controls, and their play was read
            </Checked>
          )}
          <CheckActions ask={ask} check={check} ready={filled.length > 0} />
        </>
      )}
    </Flex>
  );
};
