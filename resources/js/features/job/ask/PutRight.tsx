import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Item } from '../../../api/jobs';
import { Button, Field, FieldLabel } from '../../../components/Buttons';
import { PickOne } from '../../../components/PickOne';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';
import { HangTag } from './HangTag';
import { MeasureShort } from './MeasureShort';
import { Imitators } from './SetByOutcome';

/** What failed is put right otherwise than by an adjuster, and tried again. */
export const PutRight = ({ item }: { item: Item }) => {
  const { state, send } = useBench();
  const [cure, setCure] = useState<string | null>(null);
  const [remark, setRemark] = useState('');
  const { beside } = state;
  return (
    <AskCard eyebrow="Set" title={item.label}>
      <Box lineHeight="snug">{item.said}</Box>
      <MeasureShort />
      {beside.not_settable !== null && <Box lineHeight="snug">{beside.not_settable}</Box>}
      <PickOne says="What was put right" mark="cure" options={beside.cures} value={cure} onPick={setCure} column />
      {cure !== null && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            send({ kind: 'put_right', body: { cure, ...(remark.trim() === '' ? {} : { remark: remark.trim() }) } });
          }}
        >
          <FieldLabel htmlFor="cure-remark">What was done</FieldLabel>
          <Field id="cure-remark" value={remark} maxLength={300} onChange={(event) => setRemark(event.target.value)} />
          <Button type="submit" look="vivid" size="tall" width="100%" marginTop="3" data-primary>
            Put right: try it again
          </Button>
        </form>
      )}
      <Imitators />
      <HangTag />
    </AskCard>
  );
};
