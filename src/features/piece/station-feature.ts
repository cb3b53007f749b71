import type { ComponentType } from 'react';
import type { RunStep } from '@/core/plan';
import type { Job, PiecePlan } from '@/core/stations';
import type { Wording } from '@/words';

export interface CardTimer {
  label: string;
  minutes: number;
  /** Begins with the hand's first stroke. */
  stroke: boolean;
}

/** One thing to do at the bench: in one or two sentences, with its figure, and a timer where time counts. */
export interface BenchCard {
  id: string;
  text: string;
  figure: string | null;
  timer: CardTimer | null;
  /** One that runs beside it. */
  beside: CardTimer | null;
}

export type BenchCards = (step: RunStep, job: Job, plan: PiecePlan, units: Wording) => BenchCard[];

/** What the interface knows of a station. */
export interface StationFeature {
  name: string;
  /** Loaded when it is opened. */
  Screen: ComponentType;
  /** A step of it as cards for the bench. */
  cards: BenchCards;
}

export const card = (
  id: string,
  text: string,
  figure: string | null = null,
  timer: CardTimer | null = null,
  beside: CardTimer | null = null,
): BenchCard => ({ id, text, figure, timer, beside });

export const cardTimer = (label: string, minutes: number, stroke = false): CardTimer => ({ label, minutes, stroke });

/** A station without steps has none. */
export const noCards: BenchCards = () => [];
