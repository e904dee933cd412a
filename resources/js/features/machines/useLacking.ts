import { useQuery } from '@tanstack/react-query';
import type { Machine } from '../../api/machines';
import { type SpecBrief, specsQuery } from '../../api/specs';

/** What the library has for the model of a machine that has none of it; undefined until that is known. */
export function useLacking(machine: Machine, wanted = true): SpecBrief[] | undefined {
  const { data } = useQuery({ ...specsQuery(machine.name, 1), enabled: wanted });
  return data?.specs.filter(
    (spec) => spec.model === machine.name && !machine.controls.some((one) => one.key === spec.control),
  );
}
