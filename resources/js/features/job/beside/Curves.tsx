import { Flex } from '@chakra-ui/react';
import { LinkButton } from '../../../components/Buttons';
import { lengthText, lengthUnit } from '../../../lib/figures';
import { clock } from '../../../lib/time';
import { useBench } from '../useBench';

/** Pulls of this job that were kept as curves. */
export const Curves = () => {
  const { job, state } = useBench();
  const { traces } = state.beside;
  return traces.length === 0 ? null : (
    <Flex gap="2" flexWrap="wrap" alignSelf="flex-start" data-curves>
      {traces.map((one) => (
        <LinkButton key={one.entry} to={`/jobs/${job.id}/pull/${one.trace}`} look="plain" textDecoration="none">
          Pull of {clock(one.at)}
          {one.told.play_mm !== undefined && `: play ${lengthText(one.told.play_mm)} ${lengthUnit()}`}
        </LinkButton>
      ))}
    </Flex>
  );
};
