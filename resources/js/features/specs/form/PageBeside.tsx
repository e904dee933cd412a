import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { Button } from '../../../components/Buttons';
import { FilePick } from '../../../components/FilePick';

type PageProps = {
  /** The picture that the library has of this version. */
  kept: string | null;
  picture: Blob | null;
  onPick: (picture: Blob | null) => void;
};

/** A photo of the page, or a sketch, looked at while its figures are typed; it is kept with the spec. */
export const PageBeside = ({ kept, picture, onPick }: PageProps) => {
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    if (picture === null) return setUrl(null);
    const made = URL.createObjectURL(picture);
    setUrl(made);
    return () => URL.revokeObjectURL(made);
  }, [picture]);
  const shown = url ?? kept;
  return (
    <Box marginTop="3" data-page-beside={shown === null ? 'none' : 'shown'}>
      {shown !== null && (
        <a href={shown} target="_blank" rel="noreferrer" title="As large as it is">
          <chakra.img src={shown} alt="The page of the book" width="100%" borderRadius="md" marginBottom="2" />
        </a>
      )}
      <FilePick accept="image/*" onPick={onPick}>
        {shown === null ? 'A photo of the page' : 'Another picture'}
      </FilePick>
      {picture !== null && (
        <Button look="link" onClick={() => onPick(null)}>
          Without it
        </Button>
      )}
    </Box>
  );
};
