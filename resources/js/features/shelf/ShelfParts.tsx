import { Flex } from '@chakra-ui/react';
import { LinkButton } from '../../components/Buttons';

const parts = [
  { key: 'instruments', to: '/shelf', label: 'Instruments' },
  { key: 'cables', to: '/shelf/cables', label: 'Cables' },
  { key: 'gauges', to: '/shelf/gauges', label: 'Gauges' },
] as const;

/** What lies on the shelf: what is read with, and what is known of cables. */
export const ShelfParts = ({ at }: { at: (typeof parts)[number]['key'] }) => (
  <Flex gap="2" role="group" aria-label="Part of the shelf">
    {parts.map((one) => (
      <LinkButton
        key={one.key}
        to={one.to}
        look={one.key === at ? 'dark' : 'plain'}
        aria-current={one.key === at ? 'page' : undefined}
        textDecoration="none"
        data-shelf-part={one.key}
      >
        {one.label}
      </LinkButton>
    ))}
  </Flex>
);
