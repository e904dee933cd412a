import { bandText, lengthUnit } from '../../../lib/figures';
import { bandOf } from '../draft';
import type { FormProps } from '../SpecEditScreen';
import { engines, isOnBars, limits, meterUnits, named, policies, standing } from '../words';
import { BesidePlay } from './BesidePlay';
import { BookAdds } from './BookAdds';
import { Conditions } from './Conditions';
import { Fold } from './Fold';
import { OutcomeTables } from './OutcomeTables';
import { SecondPlay } from './SecondPlay';

const joined = (parts: readonly (string | false)[]) => parts.filter(Boolean).join(' · ');

/** What is mostly left as it begins: shut, each with what stands in it. */
export const Folded = (form: FormProps) => {
  const { draft } = form;
  return (
    <>
      {draft.second !== null && (
        <Fold title="Play of the second cable" mark="second" holds={['second']} says={secondSays(form)}>
          <SecondPlay {...form} />
        </Fold>
      )}
      {draft.tables.length > 0 && (
        <Fold title="What it does at its settings" mark="tables" holds={['tables']} says={tablesSay(form)}>
          <OutcomeTables {...form} />
        </Fold>
      )}
      <Fold title="Conditions" mark="conditions" holds={['minutes']} says={conditionsSay(form)}>
        <Conditions {...form} />
      </Fold>
      <Fold
        title="What the book adds"
        mark="book"
        holds={['use', 'months', 'backOff', 'torques', 'tools', 'proofs']}
        says={bookSays(form)}
      >
        <BookAdds {...form} />
      </Fold>
      <Fold
        title="Beside play"
        mark="beside"
        holds={['limits']}
        says={
          draft.limits.length === 0
            ? 'Nothing: a stopping time, a governed speed, full drive, a throttle window, a pull, plates and springs'
            : draft.limits.map((one) => limits[one.kind].label).join(' · ')
        }
      >
        <BesidePlay {...form} />
      </Fold>
    </>
  );
};

function secondSays({ draft: { second } }: FormProps): string {
  if (second === null || (second.low === '' && second.high === '')) return 'No figure yet';
  return `${bandText(bandOf(second))} ${lengthUnit()}`;
}

const tablesSay = ({ draft }: FormProps): string =>
  draft.tables
    .map((table) =>
      joined([table.arm, table.settings.map((one) => one.label || 'a setting without a name').join(', ')]),
    )
    .join('; ');

function conditionsSay({ draft }: FormProps): string {
  const poses =
    draft.hand.kind === 'grip' || draft.poses.length > 1 ? 'bars left, straight and right' : 'bars straight';
  return joined([
    draft.engine === '' ? 'Any engine' : named(engines, draft.engine),
    draft.wheels !== '' && named(standing, draft.wheels).toLowerCase(),
    isOnBars(draft.hand.kind) && poses,
    `aim for ${named(policies, draft.policy).toLowerCase()}`,
    draft.rule === 'guarded' ? '95 % sure to be inside' : 'the figure decides',
    `${draft.minutes} minutes`,
  ]);
}

function bookSays({ draft }: FormProps): string {
  const often = [
    draft.use === '' ? '' : `${draft.use} ${named(meterUnits, draft.unit)}`,
    draft.months === '' ? '' : `${draft.months} months`,
  ].filter(Boolean);
  const count = (n: number, one: string, many: string) => n > 0 && `${n} ${n === 1 ? one : many}`;
  return (
    joined([
      often.length > 0 && `every ${often.join(' or ')}`,
      draft.backOff !== '' && `push rod back by ${draft.backOff}`,
      count(draft.torques.length, 'torque', 'torques'),
      count(draft.proofs.length, 'proof', 'proofs'),
      count(draft.tools.length, 'step with its tools', 'steps with their tools'),
    ]) || 'Nothing yet: how often it is looked at, torques, other proofs, tools for replacing'
  );
}
