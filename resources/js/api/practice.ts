import { queryOptions } from '@tanstack/react-query';
import { call } from './client';
import type { ActKind, Pose, PracticeAttempt, ReadingPoint } from './contract';
import { zPracticeAttempt, zPracticeLearners, zPracticeLessons } from './contract/zod.gen';
import { keys } from './keys';

export type { PracticeAttempt, PracticeLessons, PracticeMachine, PracticeScore } from './contract';

/** What is done to the machine of a lesson. */
export type Act = {
  act: ActKind;
  of?: string | undefined;
  by?: number | undefined;
  pose?: Pose | undefined;
  point?: ReadingPoint | undefined;
};

export const lessonsQuery = queryOptions({
  queryKey: keys.practice,
  queryFn: () => call('GET', 'practice', zPracticeLessons),
  staleTime: 0,
});

export const attemptQuery = (id: string) =>
  queryOptions({
    queryKey: keys.attempt(id),
    queryFn: () => call('GET', `practice/attempts/${id}`, zPracticeAttempt),
  });

export const learnersQuery = queryOptions({
  queryKey: keys.learners,
  queryFn: () => call('GET', 'practice/learners', zPracticeLearners),
  staleTime: 0,
});

export const beginLesson = (id: string, lesson: string) =>
  call('POST', 'practice/attempts', zPracticeAttempt, { id, lesson });

/** A lesson from a closed job. */
export const makeLesson = (body: { id: string; job: string; title: string; teaches: string; story: string }) =>
  call('POST', 'practice/lessons', zPracticeLessons, body);

/** A lesson from a file, under the key that stands in it. */
export const takeLesson = (key: string, lesson: unknown) =>
  call('PUT', `practice/lessons/${encodeURIComponent(key)}`, zPracticeLessons, lesson);

export const removeLesson = (key: string) =>
  call('DELETE', `practice/lessons/${encodeURIComponent(key)}`, zPracticeLessons);

/** What was answered later may have been asked before: a lesson that is over stays so. */
export const newer = (before: PracticeAttempt | undefined, after: PracticeAttempt): PracticeAttempt =>
  before?.is_over === true && !after.is_over ? before : after;

export const writePractice = (id: string, entry: Record<string, unknown>) =>
  call('POST', `practice/attempts/${id}/entries`, zPracticeAttempt, entry);

export const actPractice = (id: string, act: Act & { id: string; at: string }) =>
  call('POST', `practice/attempts/${id}/acts`, zPracticeAttempt, act);
