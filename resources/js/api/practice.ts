import { queryOptions } from '@tanstack/react-query';
import { call } from './client';
import type { ActKind, LessonFormBody, Pose, PracticeAttempt, PracticeHelp, ReadingPoint } from './contract';
import {
  zLessonForm,
  zPracticeAttempt,
  zPracticeGroups,
  zPracticeLearners,
  zPracticeLessons,
} from './contract/zod.gen';
import { keys } from './keys';

export type {
  LessonForm,
  LessonFormBody,
  PracticeAttempt,
  PracticeGroups,
  PracticeHelp,
  PracticeLessons,
  PracticeMachine,
  PracticeScore,
} from './contract';

/** What is done to the machine of a lesson. */
export type Act = {
  act: ActKind;
  of?: string | undefined;
  by?: number | undefined;
  pose?: Pose | undefined;
  point?: ReadingPoint | undefined;
  /** Share of the way into its seat, of an end of a cable. */
  in?: number | undefined;
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

/** @param task what it is done for, where a teacher set it */
export const beginLesson = (id: string, lesson: string, task?: string) =>
  call('POST', 'practice/attempts', zPracticeAttempt, { id, lesson, ...(task !== undefined && { task }) });

export const groupsQuery = queryOptions({
  queryKey: keys.groups,
  queryFn: () => call('GET', 'practice/groups', zPracticeGroups),
  staleTime: 0,
});

type GroupBody = { name: string; people: readonly string[] };

export const makeGroup = (id: string, body: GroupBody) =>
  call('POST', 'practice/groups', zPracticeGroups, { id, ...body });

export const changeGroup = (id: string, body: GroupBody) => call('PUT', `practice/groups/${id}`, zPracticeGroups, body);

export const removeGroup = (id: string) => call('DELETE', `practice/groups/${id}`, zPracticeGroups);

/** A lesson for everybody in a group. */
export const setTask = (
  group: string,
  task: { id: string; lesson: string; help: PracticeHelp; due_on: string | null },
) => call('POST', `practice/groups/${group}/tasks`, zPracticeGroups, task);

export const takeBackTask = (group: string, task: string) =>
  call('DELETE', `practice/groups/${group}/tasks/${task}`, zPracticeGroups);

/** A lesson from a closed job. */
export const makeLesson = (body: { id: string; job: string; title: string; teaches: string; story: string }) =>
  call('POST', 'practice/lessons', zPracticeLessons, body);

export const lessonFormQuery = (lesson: string) =>
  queryOptions({
    queryKey: keys.lessonForm(lesson),
    queryFn: () => call('GET', `practice/lessons/${encodeURIComponent(lesson)}/form`, zLessonForm),
    staleTime: 0,
  });

/** A lesson filled in by hand, on the machine of another. */
export const fillLesson = (like: string, id: string, form: LessonFormBody['form']) =>
  call('POST', `practice/lessons/${encodeURIComponent(like)}/like`, zPracticeLessons, { id, form });

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
