import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { keys } from '../../api/keys';
import { fillLesson, type LessonForm, lessonFormQuery } from '../../api/practice';
import { Button, LinkButton, Sheet } from '../../components/Buttons';
import { Entry } from '../../components/Entry';
import { Frame } from '../../components/Frame';
import { PickOne } from '../../components/PickOne';
import { PickSome } from '../../components/PickSome';
import { Refusal } from '../../components/Refusal';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { capital } from '../../lib/capital';
import { uuid } from '../../lib/uuid';
import { bodyOf, type Draft, draftOf } from './lessonDraft';

/** A lesson filled in by hand: the machine of another one, with what is true of it. */
export default function LessonFormScreen() {
  const { key = '' } = useParams();
  const { data, error, refetch } = useQuery(lessonFormQuery(key));
  return (
    <Frame>
      {data === undefined ? (
        error !== null ? (
          <Failure error={error} retry={() => refetch()} />
        ) : (
          <Loading what="the lesson" />
        )
      ) : (
        <Form key={data.key} form={data} />
      )}
    </Frame>
  );
}

const Form = ({ form }: { form: LessonForm }) => {
  const client = useQueryClient();
  const go = useNavigate();
  const [id] = useState(uuid);
  const [draft, setDraft] = useState(() => draftOf(form));
  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });
  const making = useMutation({
    mutationFn: () => fillLesson(form.key, id, bodyOf(form, draft)),
    onSuccess: (list) => {
      client.setQueryData(keys.practice, list);
      go('/practice');
    },
  });
  const isNamed = [draft.title, draft.story, draft.teaches].every((one) => one.trim() !== '');
  return (
    <Flex asChild direction="column" gap="4" maxWidth="256">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          making.mutate();
        }}
      >
        <Title>A lesson like “{form.title}”</Title>
        <Grid templateColumns={{ base: '1fr', lg: '1fr 1fr' }} gap="4" alignItems="start">
          <Said draft={draft} set={set} />
          <True form={form} draft={draft} set={set} />
        </Grid>
        {making.error !== null && <Refusal error={making.error} />}
        <Flex gap="3">
          <Button
            type="submit"
            look="vivid"
            size="tall"
            disabled={!isNamed || making.isPending}
            data-primary
            data-save-lesson
          >
            Save
          </Button>
          <LinkButton to="/practice" look="quiet" textDecoration="none">
            Cancel
          </LinkButton>
        </Flex>
      </form>
    </Flex>
  );
};

type PartProps = { draft: Draft; set: (change: Partial<Draft>) => void };

/** What the learner is told. */
const Said = ({ draft, set }: PartProps) => (
  <Sheet padding="4" aria-label="What the learner is told">
    <Heading as="h2" fontSize="xl" marginBottom="3">
      What the learner is told
    </Heading>
    <Flex direction="column" gap="3">
      <Entry
        label="What it is called"
        value={draft.title}
        most={80}
        name="title"
        onChange={(title) => set({ title })}
      />
      <Entry label="How it came in" value={draft.story} most={300} name="story" onChange={(story) => set({ story })} />
      <Entry
        label="What it is for"
        value={draft.teaches}
        most={200}
        name="teaches"
        onChange={(teaches) => set({ teaches })}
      />
      <PickOne
        says="Where its adjusters stand"
        mark="told"
        options={[
          { key: 'yes', label: 'Where adjusters stand is on record' },
          { key: 'no', label: 'Nobody knows' },
        ]}
        value={draft.told ? 'yes' : 'no'}
        onPick={(key) => set({ told: key === 'yes' })}
      />
    </Flex>
  </Sheet>
);

/** What is so, and nobody says. */
const True = ({ form, draft, set }: PartProps & { form: LessonForm }) => (
  <Sheet padding="4" aria-label="What is so">
    <Heading as="h2" fontSize="xl" marginBottom="3">
      What is so
    </Heading>
    <Flex direction="column" gap="3">
      {form.play !== null && (
        <Signed
          label={`${capital(form.play.label)}: play as found`}
          words={['Loose', 'Taut, by so much']}
          name="play"
          value={draft.play}
          onChange={(play) => set({ play })}
        />
      )}
      {form.second_play !== null && (
        <Signed
          label={`${capital(form.second_play.label)}: play as found`}
          words={['Loose', 'Taut, by so much']}
          name="second-play"
          value={draft.second}
          onChange={(second) => set({ second })}
        />
      )}
      {form.offset !== null && (
        <Entry
          label={`From where it should stand, in ${form.offset.unit}s; − the other way`}
          value={draft.offset}
          kind="decimal"
          name="offset"
          onChange={(offset) => set({ offset })}
        />
      )}
      {form.adjusters.map((one) => (
        <Entry
          key={one.id}
          label={`${capital(one.name)}: ${one.unit} out, ${one.from} to ${one.to}`}
          value={draft.at[one.id] ?? ''}
          kind="decimal"
          name={`at-${one.id}`}
          onChange={(amount) => set({ at: { ...draft.at, [one.id]: amount } })}
        />
      ))}
      {form.poses.map((one) => (
        <Signed
          key={one.pose}
          label={`${capital(one.label)}: slack beside straight`}
          words={['More', 'Less']}
          name={`pose-${one.pose}`}
          value={draft.poses[one.pose] ?? { size: '0', minus: false }}
          onChange={(value) => set({ poses: { ...draft.poses, [one.pose]: value } })}
        />
      ))}
      {draft.hot !== null && (
        <PickOne
          says="Its engine, as it comes in"
          mark="heat"
          options={[
            { key: 'cold', label: 'Engine cold' },
            { key: 'hot', label: 'Engine hot' },
          ]}
          value={draft.hot ? 'hot' : 'cold'}
          onPick={(key) => set({ hot: key === 'hot' })}
        />
      )}
      {draft.speed !== null && (
        <Entry
          label="What its governor lets it reach, both cables right"
          unit="km/h"
          value={draft.speed}
          name="speed"
          onChange={(speed) => set({ speed })}
        />
      )}
      <Faults form={form} draft={draft} set={set} />
      <Entry
        label="Moves so many times as far as it is drawn"
        value={draft.ratio}
        kind="decimal"
        name="ratio"
        onChange={(ratio) => set({ ratio })}
      />
      <Entry
        label="Steps that a lock turns its adjuster by"
        value={draft.creep}
        kind="decimal"
        name="creep"
        onChange={(creep) => set({ creep })}
      />
    </Flex>
  </Sheet>
);

const Faults = ({ form, draft, set }: PartProps & { form: LessonForm }) =>
  form.faults.length === 0 ? null : (
    <Box>
      <Box textStyle="eyebrow" marginBottom="1">
        What is wrong beside its setting
      </Box>
      <PickSome
        says="What is wrong beside its setting"
        mark="fault"
        size="small"
        options={form.faults.map((one) => ({ key: one.fault, label: capital(one.label) }))}
        values={draft.faults}
        onPick={(faults) => set({ faults })}
      />
    </Box>
  );

type SignedProps = {
  label: string;
  /** What plus is called, and minus. */
  words: readonly [string, string];
  name: string;
  value: { size: string; minus: boolean };
  onChange: (value: { size: string; minus: boolean }) => void;
};

/** A size and which way it is: nobody types a sign. */
const Signed = ({ label, words, name, value, onChange }: SignedProps) => (
  <Flex gap="2" alignItems="flex-end" flexWrap="wrap">
    <Box flex="1 1 {sizes.40}">
      <Entry label={label} unit="mm" value={value.size} name={name} onChange={(size) => onChange({ ...value, size })} />
    </Box>
    <PickOne
      says={label}
      mark={`way-${name}`}
      options={[
        { key: 'plus', label: words[0] },
        { key: 'minus', label: words[1] },
      ]}
      value={value.minus ? 'minus' : 'plus'}
      onPick={(key) => onChange({ ...value, minus: key === 'minus' })}
    />
  </Flex>
);
