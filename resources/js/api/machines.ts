import { queryOptions } from '@tanstack/react-query';
import { AGAIN_MS, call } from './client';
import type { AddMachineData, ReadMeterData, ReportOddData, Service, WearStory } from './contract';
import { zMachine, zMachinesResponse, zService, zYardResponse } from './contract/zod.gen';
import { keys } from './keys';

export type {
  Intake,
  Machine,
  MachineBrief,
  MachineControl,
  PastJob,
  Service,
  WearStory,
  YardMachine,
} from './contract';
export type ServiceStop = Service['stops'][number];
export type Check = NonNullable<WearStory['next']>['all'][number];

export const machinesQuery = (find: string, retired = false) =>
  queryOptions({
    queryKey: [...keys.machines, find, retired],
    queryFn: () =>
      call('GET', `machines?find=${encodeURIComponent(find)}${retired ? '&retired=too' : ''}`, zMachinesResponse),
  });

export const yardQuery = (retired: boolean) =>
  queryOptions({
    queryKey: [...keys.machines, 'yard', retired],
    queryFn: () => call('GET', retired ? 'yard?retired=only' : 'yard', zYardResponse),
    refetchInterval: AGAIN_MS,
  });

export const machineQuery = (tag: string) =>
  queryOptions({
    queryKey: keys.machine(tag),
    queryFn: () => call('GET', `machines/${encodeURIComponent(tag)}`, zMachine),
    refetchInterval: AGAIN_MS,
  });

export const serviceQuery = (tag: string) =>
  queryOptions({
    queryKey: keys.service(tag),
    queryFn: () => call('GET', `machines/${encodeURIComponent(tag)}/service`, zService),
    refetchInterval: AGAIN_MS,
  });

/** What is done to a machine outside its jobs; each answers with the machine as it stands after. */
const toMachine = <T>(method: string, path: string, body: T, seen?: string) => call(method, path, zMachine, body, seen);
const at = (tag: string) => `machines/${encodeURIComponent(tag)}`;

export type NewMachine = AddMachineData['body'];
export const addMachine = (made: NewMachine) => toMachine('POST', 'machines', made);
export const addControl = (tag: string, spec: number) => toMachine('POST', `${at(tag)}/controls`, { spec });
export const changeMachine = (
  tag: string,
  row: { tag: string; plate: string | null; kind: string; place: string },
  seen: string | undefined,
) => toMachine('PUT', at(tag), row, seen);
export const retireMachine = (tag: string, retired: boolean, why?: string, seen?: string) =>
  toMachine('PUT', `${at(tag)}/retired`, retired ? { retired, why } : { retired }, seen);
export type MeterRead = ReadMeterData['body'];
export const readMeter = (tag: string, read: MeterRead) => toMachine('POST', `${at(tag)}/meter`, read);
export const reportOdd = (tag: string, report: ReportOddData['body']) =>
  toMachine('POST', `${at(tag)}/intakes`, report);
export const answerIntake = (id: string, answer: string) => toMachine('POST', `intakes/${id}/answer`, { answer });
