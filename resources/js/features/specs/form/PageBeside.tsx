import { Box, chakra } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { Button } from '../../../components/Buttons';
import { FilePick } from '../../../components/FilePick';
import { Refusal } from '../../../components/Refusal';
import { small } from '../../../lib/pictures';

type PageProps = {
  /** The picture that the library has of this version. */
  kept: string | null;
  /** What was picked: small enough to be sent, and held here, wherever its file goes. */
  picture: Picked | null;
  onPick: (picture: Picked | null) => void;
};

export type Picked = { blob: Blob; url: string };

/** A photo of the page, or a sketch, looked at while its figures are typed; it is kept with the spec. */
export const PageBeside = ({ kept, picture, onPick }: PageProps) => {
  const pick = useMutation({
    mutationFn: async (file: File) => {
      // Its bytes, not its file: a phone may have put that elsewhere by the time the spec is saved.
      const made = await small(file);
      const blob = new Blob([await made.arrayBuffer()], { type: made.type });
      return { blob, url: await asUrl(blob) };
    },
    onSuccess: onPick,
  });
  const shown = picture?.url ?? kept;
  return (
    <Box marginTop="3" data-page-beside={shown === null ? 'none' : 'shown'}>
      {shown !== null && (
        <a href={shown} target="_blank" rel="noreferrer" title="As large as it is">
          <chakra.img src={shown} alt="The page of the book" width="100%" borderRadius="md" marginBottom="2" />
        </a>
      )}
      <FilePick accept="image/*" disabled={pick.isPending} onPick={(file) => pick.mutate(file)}>
        {shown === null ? 'A photo of the page' : 'Another picture'}
      </FilePick>
      {picture !== null && (
        <Button look="link" onClick={() => onPick(null)}>
          Without it
        </Button>
      )}
      {pick.isError && <Refusal error={pick.error} />}
    </Box>
  );
};

/** The picture as an address that pages of this workshop may show. */
const asUrl = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(reader.error ?? new Error('The picture cannot be read.'));
    reader.readAsDataURL(blob);
  });
