import { Box, chakra, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Sheet } from '../../../components/Buttons';
import { useOpening } from './SpecEntry';

const Head = chakra('button');

type FoldProps = {
  title: string;
  /** What stands in it now, so that nobody has to open it to know. */
  says: string;
  /** Names it for tests and for nothing else. */
  mark: string;
  /** Its fields: what is wrong with one of them opens it. */
  holds: readonly string[];
  children: ReactNode;
};

/** A part of a form that is mostly left as it is: shut, with what stands in it. */
export const Fold = ({ title, says, mark, holds, children }: FoldProps) => {
  const [open, setOpen] = useOpening(holds);
  return (
    <Sheet aria-label={title} data-folded={!open}>
      <Head
        type="button"
        onClick={() => setOpen(!open)}
        aria-expanded={open}
        width="100%"
        minHeight="tall"
        paddingInline="4"
        paddingBlock="2"
        textAlign="left"
        cursor="pointer"
        borderRadius="lg"
        _hover={{ bg: 'well' }}
        data-fold={mark}
      >
        <Flex gap="3" alignItems="center">
          <Box flex="1" minWidth="0">
            <Box fontFamily="heading" fontWeight="bold" fontSize="lg" lineHeight="tight">
              {title}
            </Box>
            <Box textStyle="small">{says}</Box>
          </Box>
          <Box asChild flex="none" width="5" transform={open ? 'rotate(180deg)' : undefined}>
            <svg viewBox="-10 -10 20 20" aria-hidden="true">
              <path d="M-7 -4L0 4L7 -4" fill="none" stroke="currentColor" strokeWidth="3" strokeLinecap="round" />
            </svg>
          </Box>
        </Flex>
      </Head>
      {open && (
        <Box paddingInline="4" paddingBottom="4">
          {children}
        </Box>
      )}
    </Sheet>
  );
};
