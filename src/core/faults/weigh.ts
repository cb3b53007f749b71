/**
 * From what is seen to the likely cause: Bayes over the causes, taking signs, facts of the record and answers to checks
 * as telling independently. A sign that is seen counts by how often the cause shows it; one that is said not to be there
 * by how often it would; what is not said counts for nothing. Known weakness: signs of one cause go together more than
 * is reckoned, so that a share near one is surer than it should be; shares are for their order.
 */
import {
  FAULT_CAUSES,
  FAULT_CHECK_IDS,
  FAULT_CHECKS,
  type FaultAnswer,
  type FaultCause,
  type FaultCauseId,
  type FaultCheckId,
  type FaultRemedyId,
  type FaultSignId,
} from '@/core/craft';
import { sum } from '@/core/shared';
import type { FaultEvidence } from './evidence';

export interface Observed {
  seen: readonly FaultSignId[];
  notSeen: readonly FaultSignId[];
  answers: Partial<Record<FaultCheckId, FaultAnswer>>;
}

/** A line of the reckoning, as a ratio against the causes together: above 1 it speaks for the cause. */
export type FaultLine =
  | { kind: 'sign'; sign: FaultSignId; seen: boolean; ratio: number }
  | { kind: 'fact'; fact: FaultEvidence; ratio: number }
  | { kind: 'answer'; check: FaultCheckId; answer: FaultAnswer; ratio: number };

export interface WeighedCause {
  id: FaultCauseId;
  /** Of all that could be the cause, 0–1. */
  share: number;
  /** For it and against it, the weightiest first. */
  lines: readonly FaultLine[];
  now: readonly FaultRemedyId[];
  next: readonly FaultRemedyId[];
}

export interface FaultFinding {
  /** The likeliest first; none while nothing is seen. */
  causes: readonly WeighedCause[];
  /** Ruled out by a fact or an answer, though the signs would fit. */
  ruledOut: readonly { id: FaultCauseId; by: FaultLine }[];
  /** Two causes at once, where they explain what is seen better than any one alone; null else. */
  together: readonly [FaultCauseId, FaultCauseId] | null;
  /** What would tell the leading causes apart best; null where nothing would. */
  check: FaultCheckId | null;
}

const UNNAMED_SIGN = 0.003;
/** Signs, facts and answers move a cause by no more than this against another: nobody is that sure. */
const LEAST_LIKELIHOOD = 0.01;
const LEAST_SHARE = 0.02;
const FITS = 0.1;
/** A line this near 1 tells nothing. */
const TELLS = 1.15;
/** A check must be expected to tell as much. */
const WORTH_CHECKING_BITS = 0.08;

const signLikelihood = (cause: FaultCause, sign: FaultSignId): number => cause.signs[sign] ?? UNNAMED_SIGN;

const answerLikelihood = (cause: FaultCause, check: FaultCheckId, answer: FaultAnswer): number =>
  Math.max(LEAST_LIKELIHOOD, cause.answers[check]?.[answer] ?? 1 / FAULT_CHECKS[check].length);

export function weighFaults(observed: Observed, evidence: readonly FaultEvidence[]): FaultFinding {
  if (observed.seen.length === 0) return { causes: [], ruledOut: [], together: null, check: null };
  const weights = FAULT_CAUSES.map((cause) => {
    const signs = [
      ...observed.seen.map((sign) => signLikelihood(cause, sign)),
      ...observed.notSeen.map((sign) => 1 - signLikelihood(cause, sign)),
    ];
    const facts = evidence.map(({ id }) => cause.speaks[id] ?? 1);
    const answers = answersOf(observed).map(([check, answer]) => answerLikelihood(cause, check, answer));
    return [cause.prior, ...signs, ...facts, ...answers].reduce((product, factor) => product * factor, 1);
  });
  const total = sum(weights) || 1;
  const shares = weights.map((weight) => weight / total);
  const causes = FAULT_CAUSES.map((cause, at) => ({ cause, share: shares[at] ?? 0 }))
    .filter(({ share }) => share >= LEAST_SHARE)
    .sort((a, b) => b.share - a.share)
    .map(({ cause, share }): WeighedCause => ({
      id: cause.id,
      share,
      lines: linesOf(cause, observed, evidence),
      now: cause.now,
      next: cause.next,
    }));
  return {
    causes,
    ruledOut: ruledOutOf(observed, evidence),
    together: pairOf(observed, weights),
    check: bestCheck(shares, observed),
  };
}

/** Of pieces with a fault, those that have a second one by another cause. */
const TWO_AT_ONCE = 0.5;

/**
 * The best two causes together, each sign shown by either of them, where that beats the best single one. Facts speak for
 * each as they do alone.
 */
function pairOf({ seen }: Observed, weights: readonly number[]): FaultFinding['together'] {
  if (seen.length < 2) return null;
  const alone = (at: number) =>
    (weights[at] ?? 0) / seen.reduce((product, sign) => product * signLikelihood(FAULT_CAUSES[at]!, sign), 1);
  const usual = sum(FAULT_CAUSES.map(({ prior }) => prior));
  let best: { weight: number; pair: readonly [FaultCauseId, FaultCauseId] } | null = null;
  for (let a = 0; a < FAULT_CAUSES.length; a++)
    for (let b = a + 1; b < FAULT_CAUSES.length; b++) {
      const [one, other] = [FAULT_CAUSES[a]!, FAULT_CAUSES[b]!];
      const shown = seen.map((sign) => 1 - (1 - signLikelihood(one, sign)) * (1 - signLikelihood(other, sign)));
      const weight =
        shown.reduce((product, likelihood) => product * likelihood, TWO_AT_ONCE * alone(a) * alone(b)) / usual;
      const ordered =
        (weights[a] ?? 0) >= (weights[b] ?? 0) ? ([one.id, other.id] as const) : ([other.id, one.id] as const);
      if (weight > (best?.weight ?? 0)) best = { weight, pair: ordered };
    }
  return best && best.weight > Math.max(...weights) ? best.pair : null;
}

const answersOf = ({ answers }: Observed) => Object.entries(answers) as [FaultCheckId, FaultAnswer][];

/** Each thing that is known, against what it is worth on the mean over all causes by how common they are. */
function linesOf(cause: FaultCause, observed: Observed, evidence: readonly FaultEvidence[]): FaultLine[] {
  const usual = (of: (other: FaultCause) => number) =>
    sum(FAULT_CAUSES.map((other) => other.prior * of(other))) / sum(FAULT_CAUSES.map(({ prior }) => prior));
  const against = (of: (other: FaultCause) => number) => of(cause) / Math.max(1e-6, usual(of));
  const lines: FaultLine[] = [
    ...observed.seen.map((sign): FaultLine => ({
      ...{ kind: 'sign', sign, seen: true },
      ratio: against((other) => signLikelihood(other, sign)),
    })),
    ...observed.notSeen.map((sign): FaultLine => ({
      ...{ kind: 'sign', sign, seen: false },
      ratio: against((other) => 1 - signLikelihood(other, sign)),
    })),
    ...evidence.map((fact): FaultLine => ({ kind: 'fact', fact, ratio: cause.speaks[fact.id] ?? 1 })),
    ...answersOf(observed).map(([check, answer]): FaultLine => ({
      ...{ kind: 'answer', check, answer },
      ratio: against((other) => answerLikelihood(other, check, answer)),
    })),
  ];
  const weight = ({ ratio }: FaultLine) => Math.abs(Math.log(Math.max(1e-3, ratio)));
  return lines.filter((line) => weight(line) > Math.log(TELLS)).sort((a, b) => weight(b) - weight(a));
}

function ruledOutOf(observed: Observed, evidence: readonly FaultEvidence[]): FaultFinding['ruledOut'] {
  return FAULT_CAUSES.flatMap((cause) => {
    const out = evidence.find(({ id }) => cause.speaks[id] === 0);
    const fits = observed.seen.some((sign) => signLikelihood(cause, sign) >= FITS);
    return out && fits ? [{ id: cause.id, by: { kind: 'fact' as const, fact: out, ratio: 0 } }] : [];
  });
}

/** The check that is expected to tell most: what its answer says of the cause, in bits (mutual information). */
function bestCheck(shares: readonly number[], { answers }: Observed): FaultCheckId | null {
  const told = (check: FaultCheckId): number =>
    sum(
      FAULT_CHECKS[check].map((answer) => {
        const likelihoods = FAULT_CAUSES.map((cause) => answerLikelihood(cause, check, answer));
        const usual = sum(likelihoods.map((likelihood, at) => likelihood * (shares[at] ?? 0)));
        const bits = likelihoods.map(
          (likelihood, at) => (shares[at] ?? 0) * likelihood * Math.log2(likelihood / usual),
        );
        return usual > 0 ? sum(bits) : 0;
      }),
    );
  const open = FAULT_CHECK_IDS.filter((check) => answers[check] === undefined)
    .map((check) => ({ check, bits: told(check) }))
    .sort((a, b) => b.bits - a.bits);
  const [best] = open;
  return best && best.bits >= WORTH_CHECKING_BITS ? best.check : null;
}
