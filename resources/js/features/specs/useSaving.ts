import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Problem } from '../../api/client';
import { keys } from '../../api/keys';
import { changeSpec, enterSpec, keepSketch, type SpecWhole, specQuery } from '../../api/specs';
import { useSeen } from '../../components/ChangedSince';
import { writtenOf } from './draft';
import { placeOfRefusal } from './places';
import type { How } from './SpecEditScreen';
import type { useSpecDraft } from './useSpecDraft';

type Saving = {
  typed: ReturnType<typeof useSpecDraft>;
  version: SpecWhole | null;
  how: How;
  onSaved: (after: SpecWhole) => void;
};

/** What is missing is marked before it is sent; what the server refuses of one field is marked there. The first marked field is gone to. */
export function useSaving({ typed, version, how, onSaved }: Saving) {
  const { draft, hangs, picture, form } = typed;
  const client = useQueryClient();
  const { seen, onError } = useSeen(typed.basis);
  // A spec that was saved while its picture was not: saved again, it is the same draft.
  const [saved, setSaved] = useState<SpecWhole | null>(null);
  const [marked, setMarked] = useState(0);
  const goToMarked = () => setMarked((n) => n + 1);
  useEffect(() => {
    if (marked === 0) return;
    // What holds the field may have to open first.
    const frame = requestAnimationFrame(() => document.querySelector<HTMLElement>('[aria-invalid=true]')?.focus());
    return () => cancelAnimationFrame(frame);
  }, [marked]);
  const keep = useMutation({
    mutationFn: async () => {
      const written = { ...writtenOf(draft), ...(hangs && how !== 'next' ? { hang: true } : {}) };
      const before = saved ?? (how === 'edit' ? version : null);
      const spec =
        before === null ? await enterSpec(written) : await changeSpec(before.id, written, saved?.content ?? seen);
      if (picture === null) return spec;
      setSaved(spec);
      return keepSketch(spec.id, picture.blob);
    },
    onError: (error) => {
      onError(error);
      const place = error instanceof Problem ? placeOfRefusal(error.sentence, draft) : null;
      if (place === null) return;
      form.setError(place.field, { type: 'server', message: place.says });
      goToMarked();
    },
    onSuccess: (after) => {
      typed.forget();
      client.setQueryData(specQuery(after.id).queryKey, after);
      for (const queryKey of [keys.specs, keys.machines, ['machine'], keys.bench]) {
        void client.invalidateQueries({ queryKey });
      }
      onSaved(after);
    },
  });
  return { keep, saved, save: form.handleSubmit(() => keep.mutate(), goToMarked) };
}
