import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Paper } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { PickOne } from '../../components/PickOne';
import { Title } from '../../components/Title';
import { useSignedIn } from '../../lib/signedIn';
import { AuditList } from './AuditList';
import { DataPart } from './DataPart';
import { LeadsDay } from './LeadsDay';
import { MySigningIn } from './MySigningIn';
import { PeopleList } from './PeopleList';
import { SessionList } from './SessionList';
import { SettingsPart } from './SettingsPart';

const parts = {
  today: { label: 'Today', lead: true, Part: LeadsDay },
  people: { label: 'People', lead: false, Part: PeopleList },
  mine: { label: 'My sign-in', lead: false, Part: MySigningIn },
  data: { label: 'Data', lead: false, Part: DataPart },
  sessions: { label: 'Signed in', lead: false, Part: SessionList },
  units: { label: 'Settings', lead: true, Part: SettingsPart },
  audit: { label: 'What was done', lead: true, Part: AuditList },
} as const;
type PartKey = keyof typeof parts;

/** The shop itself: its people, where they are signed in, what was done to it. */
export default function ShopScreen() {
  const person = useSignedIn();
  const [at, setAt] = useState<PartKey>(person.may_keep_shop ? 'today' : 'people');
  const shown = (Object.keys(parts) as PartKey[]).filter((key) => !parts[key].lead || person.may_keep_shop);
  const { Part } = parts[at];
  return (
    <Frame>
      <Flex alignItems="center" gap="4" flexWrap="wrap" marginBottom="4">
        <Title marginRight="auto">Shop</Title>
        <PickOne
          says="Part of the shop"
          mark="part"
          options={shown.map((key) => ({ key, label: parts[key].label }))}
          value={at}
          onPick={(key) => setAt(key as PartKey)}
        />
      </Flex>
      <Part />
      {window.location.protocol === 'https:' && (
        <Box marginTop="4">
          <Paper look="link" href="/trust" paddingInline="0">
            Phones and tablets: how they come to trust this workshop
          </Paper>
        </Box>
      )}
    </Frame>
  );
}
