import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import QRCode from 'qrcode';
import { useMemo } from 'react';
import * as z from 'zod/mini';
import { keys } from '../../api/keys';
import { Brand } from '../../components/Brand';
import { Paper, Sheet } from '../../components/Buttons';
import { paint } from '../../theme/paint';

const about = z.object({
  https_port: z.number(),
  plain_port: z.number(),
  address: z.nullable(z.string()),
  name: z.string(),
  fingerprint: z.string(),
});

const ask = async () => {
  const answer = await fetch('/trust/about', { headers: { Accept: 'application/json' } });
  if (!answer.ok) throw new Error(String(answer.status));
  return about.parse(await answer.json());
};

const kinds = [
  {
    title: 'Android',
    steps: [
      'Get the certificate with the button above.',
      'Settings, then Security, then Encryption and credentials, then Install a certificate, then CA certificate.',
      'Choose the file vivid-pull-workshop.crt.',
    ],
  },
  {
    title: 'iPhone and iPad',
    steps: [
      'Get the certificate with the button above, and allow the profile.',
      'Settings, then Profile Downloaded, then Install.',
      'Settings, then General, About, Certificate Trust Settings: turn the workshop on.',
    ],
  },
  {
    title: 'Windows',
    steps: [
      'Get the certificate and open it.',
      'Install Certificate, then Local Machine.',
      'Place it in Trusted Root Certification Authorities.',
    ],
  },
  {
    title: 'Mac',
    steps: ['Get the certificate and open it in Keychain Access.', 'Open it there, then Trust: Always Trust.'],
  },
  {
    title: 'Linux, and Firefox anywhere',
    steps: [
      'In the browser: Settings, then Certificates, then Authorities, then Import.',
      'Tick: trust it to identify websites.',
    ],
  },
] as const;

/** How a phone, tablet or computer comes to trust the workshop's own HTTPS: looked at before anybody signs in, over plain http. */
export const TrustScreen = () => {
  const { data, isError, isPending } = useQuery({ queryKey: keys.trust, queryFn: ask, retry: false });
  return (
    <Box minHeight="100dvh" bg="page">
      <Flex bg="frame" color="onFrame" padding="4" gap="3" alignItems="center" data-frame>
        <Brand size="8" />
        <Heading as="h1" fontSize="xl">
          Trust this workshop
        </Heading>
      </Flex>
      <Box as="main" maxWidth="240" marginInline="auto" padding="4">
        {isPending && <Sheet padding="4">Asking the workshop</Sheet>}
        {isError && (
          <Sheet padding="4">
            This workshop is served to this machine alone, without HTTPS. There is nothing to trust here.
          </Sheet>
        )}
        {data !== undefined && <Steps {...data} />}
      </Box>
    </Box>
  );
};

const Steps = ({ https_port, plain_port, address, name, fingerprint }: z.infer<typeof about>) => {
  const here = window.location.hostname;
  // At the workshop's own machine its name is no name that a phone could ask for.
  const asked = address !== null && /^(?:127\.|localhost$|\[::1\])/.test(here) ? address : here;
  const secure = `https://${here}:${https_port}/`;
  return (
    <Flex direction="column" gap="4">
      <Sheet padding="4">
        <Grid templateColumns={{ base: '1fr', md: '1fr auto' }} gap="4" alignItems="center">
          <Box>
            <Heading as="h2" fontSize="lg">
              Once on each phone, tablet or computer
            </Heading>
            <Box marginTop="2" lineHeight="snug">
              The workshop has a certificate of its own. With it on the device, nobody on the network can listen in, the
              bench can be put on the home screen, and it opens without a network too.
            </Box>
            <Flex gap="2" flexWrap="wrap" marginTop="3">
              <Paper look="vivid" href="/trust/authority.crt" target="_self" textDecoration="none" data-primary>
                1. Get the certificate
              </Paper>
              <Paper look="plain" href={secure} target="_self" textDecoration="none">
                2. Open the workshop
              </Paper>
            </Flex>
          </Box>
          <Box display={{ base: 'none', md: 'block' }} textAlign="center">
            <Code address={`http://${asked}:${plain_port}/trust`} />
            <Box textStyle="small">This page, for a phone's camera</Box>
          </Box>
        </Grid>
      </Sheet>
      <Sheet padding="4">
        <Heading as="h2" fontSize="lg">
          Is it the right one?
        </Heading>
        <Box marginTop="1" lineHeight="snug">
          The device shows a name and a SHA-256 fingerprint before it installs. They must be these:
        </Box>
        <Box marginTop="2" fontWeight="bold">
          {name}
        </Box>
        <Box fontFamily="mono" fontSize="sm" overflowWrap="anywhere" data-fingerprint>
          {fingerprint}
        </Box>
      </Sheet>
      <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="4">
        {kinds.map((kind) => (
          <Sheet key={kind.title} padding="4">
            <Heading as="h2" fontSize="lg">
              {kind.title}
            </Heading>
            <Box as="ol" marginTop="2" paddingLeft="5" listStyleType="decimal">
              {kind.steps.map((step) => (
                <Box as="li" key={step} lineHeight="snug" paddingBlock="1">
                  {step}
                </Box>
              ))}
            </Box>
          </Sheet>
        ))}
      </Grid>
    </Flex>
  );
};

const Code = ({ address }: { address: string }) => {
  const { size, path } = useMemo(() => {
    const { modules } = QRCode.create(address, { errorCorrectionLevel: 'M' });
    const cells = Array.from(modules.data, (dark, n) =>
      dark ? `M${n % modules.size} ${Math.floor(n / modules.size)}h1v1h-1z` : '',
    );
    return { size: modules.size, path: cells.join('') };
  }, [address]);
  return (
    <svg viewBox={`-2 -2 ${size + 4} ${size + 4}`} width="150" height="150" role="img" aria-label={address}>
      <rect x="-2" y="-2" width={size + 4} height={size + 4} fill="#fff" />
      <path d={path} fill={paint.ink} />
    </svg>
  );
};
