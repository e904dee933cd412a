import { lazy, Suspense, useState } from 'react';
import { Button } from '../../../components/Buttons';

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
        <Suspense fallback={null}>
          <LessonOfJob onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
};
