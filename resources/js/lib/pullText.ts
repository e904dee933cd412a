import type { GaugeRecording } from '../api/contract';
import { decimals, measuredText, unitText } from './figures';

/** A recorded pull in a few words. */
export const pullText = ({ seconds, heaviest_n, spoilt, low_battery }: GaugeRecording): string =>
  [
    `${decimals(seconds, 1)} s, up to ${measuredText(heaviest_n, 0, 'N')} ${unitText('N')}.`,
    ...(spoilt === 0 ? [] : [spoilt === 1 ? 'One line of it was spoilt.' : `${spoilt} lines of it were spoilt.`]),
    ...(low_battery ? ['Its battery is low.'] : []),
  ].join(' ');
