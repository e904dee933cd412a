import { lazy, useState } from 'react';
import { Button } from '../../../components/Buttons';
import { Fetched } from '../../../components/Fetched';

const LessonOfJob = lazy(() => import('./LessonOfJob'));

/** The way from a closed job to a lesson. */
export const MakeLesson = () => {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="link" paddingInline="0" onClick={() => setOpen(true)} data-make-lesson>
        Make a lesson of it
      </Button>
      {open && (
        <Fetched onClose={() => setOpen(false)}>
          <LessonOfJob onClose={() => setOpen(false)} />
        </Fetched>
      )}
    </>
  );
};
