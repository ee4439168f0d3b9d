import type { components } from '../shared/api/schema';

type Schemas = components['schemas'];

export type BodySide = NonNullable<Schemas['BodySide']>;
export type ClientAppExercise = Schemas['ClientAppExercise'];
export type ClientAppSession = Schemas['ClientAppSession'];
export type Joint = Schemas['Joint'];
export type LoggedSet = Schemas['LoggedSet'];
export type ClientAppContent = Schemas['ClientAppContent'];
export type ClientAppHold = NonNullable<Schemas['ClientAppHold']>;
export type MessageInClientApp = Schemas['MessageInClientApp'];
export type ClientAppStopSign = Schemas['ClientAppStopSign'];
export type SessionInClientApp = Schemas['SessionInClientApp'];
export type NewClientAppMessage = Schemas['NewClientAppMessage'];
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
