import { useCallback, useEffect, useRef, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useSearchParams } from 'react-router';
import { zNewSpec } from '../../api/contract/zod.gen';
import type { SpecWhole } from '../../api/specs';
import { checkedBy } from '../../lib/checkedBy';
import { useSignedIn } from '../../lib/signedIn';
import { nowWithOffset } from '../../lib/time';
import { type BegunSpec, begunSpec, isSame } from './begunSpecs';
import { type SpecDraft, writtenOf } from './draft';
import type { Picked } from './form/PageBeside';

type Beginning = {
  start: SpecDraft;
  /** Whether it is to hang itself on machines, as it begins. */
  asked: boolean;
  version: SpecWhole | null;
  how: string;
};

type Stands = Pick<BegunSpec, 'draft' | 'hangs' | 'copiedFrom'>;

/** Where a figure stands is asked of every spec, of common practice too. */
const withoutDocument = ({ document, practice }: SpecDraft) => ({
  document:
    document.trim() !== '' ? null : practice ? 'Say it in a few words.' : 'Fill this in: where the figure is printed.',
});

/** What is typed of a spec. Not saved, it is kept on this device, and stands there again when one comes back. */
export function useSpecDraft({ start, asked, version, how }: Beginning) {
  const { id, units } = useSignedIn();
  const [found] = useSearchParams();
  const what = version === null ? start.model : `${version.id}?${found}`;
  const [kept] = useState(() => begunSpec({ person: id, units, how, what }));
  const [first] = useState(start);
  const [before, setBefore] = useState(kept.get);
  const [putAway, setPutAway] = useState<Stands | null>(null);
  const form = useForm<SpecDraft>({
    defaultValues: before?.draft ?? start,
    resolver: checkedBy(writtenOf, zNewSpec, { places: { control: 'name' }, first: withoutDocument }),
    shouldFocusError: false,
  });
  const { reset, setValue, getValues, clearErrors } = form;
  const draft = useWatch({ control: form.control }) as SpecDraft;
  /** All of it anew. */
  const setDraft = useCallback(
    (next: SpecDraft | ((now: SpecDraft) => SpecDraft)) => reset(typeof next === 'function' ? next(getValues()) : next),
    [reset, getValues],
  );
  /** Some of its fields; what was wrong with them is to be seen anew. */
  const change = useCallback(
    (fields: Partial<SpecDraft>) => {
      for (const [field, value] of Object.entries(fields) as [keyof SpecDraft, never][]) {
        setValue(field, value);
        clearErrors(field);
      }
    },
    [setValue, clearErrors],
  );
  const [hangs, setHangs] = useState(before?.hangs ?? asked);
  const [copiedFrom, setCopiedFrom] = useState(before?.copiedFrom ?? null);
  const [picture, setPicture] = useState<Picked | null>(null);
  const [basis] = useState(before?.basis ?? version?.content);
  const over = useRef(false);
  const pictured = picture !== null;
  useEffect(() => {
    if (over.current) return;
    const isUntouched = isSame(draft, first) && hangs === asked;
    kept.set(isUntouched ? null : { draft, hangs, copiedFrom, pictured, basis: basis ?? null, at: nowWithOffset() });
  }, [draft, hangs, copiedFrom, pictured, kept, first, asked, basis]);
  const stand = (one: Stands) => {
    setDraft(one.draft);
    setHangs(one.hangs);
    setCopiedFrom(one.copiedFrom);
  };
  return {
    form,
    draft,
    setDraft,
    change,
    hangs,
    setHangs,
    copiedFrom,
    setCopiedFrom,
    picture,
    setPicture,
    basis,
    /** What stood there when one came back; null where nothing did. */
    before,
    /** What was put away for a new beginning, and may be taken back. */
    putAway,
    anew: () => {
      setPutAway({ draft, hangs, copiedFrom });
      setBefore(null);
      stand({ draft: first, hangs: asked, copiedFrom: null });
    },
    takeBack: () => {
      if (putAway !== null) stand(putAway);
      setPutAway(null);
    },
    /** It is saved, or not wanted. */
    forget: () => {
      over.current = true;
      kept.set(null);
    },
  };
}
