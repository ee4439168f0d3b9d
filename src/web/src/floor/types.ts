import type { components } from '../lib/api/schema';

type Schemas = components['schemas'];

export type BodySide = NonNullable<Schemas['BodySide']>;
export type FloorExercise = Schemas['FloorExercise'];
export type FloorSession = Schemas['FloorSession'];
export type Joint = Schemas['Joint'];
export type LoggedSet = Schemas['LoggedSet'];
export type PhoneContent = Schemas['PhoneContent'];
export type PhoneHold = NonNullable<Schemas['PhoneHold']>;
export type PhoneNote = Schemas['PhoneNote'];
export type PhoneStopSign = Schemas['PhoneStopSign'];
export type PhoneSession = Schemas['PhoneSession'];
export type NewPhoneNote = Schemas['NewPhoneNote'];
export type PainOnTheSpot = Schemas['PainOnTheSpot'];
export type ReleaseDay = Schemas['ReleaseDay'];
export type ReleaseExercise = Schemas['ReleaseExercise'];
export type ReleaseFigure = Schemas['ReleaseFigure'];
export type RepPhase = Schemas['RepPhase'];
export type SentRelease = Schemas['SentRelease'];
export type SessionToTakeOver = Schemas['SessionToTakeOver'];
export type SetPart = Schemas['SetPart'];
export type StopSignTapped = Schemas['StopSignTapped'];
export type SwapReason = NonNullable<Schemas['SwapReason']>;
export type TimedStep = Schemas['TimedStep'];
export type TrainingDays = Schemas['TrainingDays'];
export type Turn = Schemas['Turn'];
