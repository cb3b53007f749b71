'use client';
import { Button } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { runSteps } from '@/core/plan';
import { Answer, Part, Steps } from '@/ui';
import { counted, lowerFirst, methodName, stepTime, stepTitle } from '@/words';
import { say } from '@/words/say';
import { AgainstBought } from '../against-bought';
import { DisagreementNotes } from '../disagreement-notes';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationCautions } from '../station-cautions';
import { StationLayout } from '../station-layout';
import { AtHandPart } from './at-hand';
import { LabelPart } from './label-part';
import { MethodFields } from './method-fields';
import { MethodSpecimen } from './method-specimen';
import css from './method.module.css';
import { OthersPart, RefusedPart } from './others-part';
import { LeadingReasons, PointsPart } from './points';
import { TryOnFields } from './try-on';
import { useMethod, type Method } from './use-method';
import { PrinterQuestion } from './printer-question';
import { Ways, wayName } from './ways';

export function MethodStation() {
  const { plan } = useOpenPiece();
  const method = useMethod();
  const [board, setBoard] = useState(false);
  return (
    <StationLayout
      station="method"
      hint={!method.asksPrinter}
      answer={<MethodAnswer method={method} />}
      act={method.asksPrinter ? <PrinterQuestion /> : <TakeAndGoOn method={method} />}
      onward={<NextLink station="sheet" quiet={plan.method.binder === null} />}
      specimen={<MethodSpecimen board={board} onBoard={setBoard} />}
    >
      {!method.asksPrinter && <Ranked method={method} />}
      {board && (
        <Part title={say`Try on`}>
          <TryOnFields />
        </Part>
      )}
      <MethodFields />
      <AtHandPart />
      {!method.asksPrinter && <RankedBelow method={method} />}
      <LabelPart method={method} />
      <BoughtPart />
      <OrderPart />
      <DisagreementNotes at="method" />
      {!method.asksPrinter && <MissingList station="method" />}
      <StationCautions station="method" />
    </StationLayout>
  );
}

const Ranked = ({ method }: { method: Method }) => (
  <>
    <Ways method={method} />
    <LeadingReasons method={method} />
  </>
);

const RankedBelow = ({ method }: { method: Method }) => (
  <>
    <PointsPart method={method} />
    <OthersPart method={method} />
    <RefusedPart method={method} />
  </>
);

function MethodAnswer({ method: { chosen, best, asksPrinter } }: { method: Method }) {
  const { record } = useOpenPiece().plan.surface;
  const says = (): string => {
    if (!record) return say`Methods are ranked once the surface is known.`;
    if (asksPrinter) return say`What will print the picture?`;
    if (chosen?.verdict === 'refused') return say`${methodName(chosen)} cannot work here.`;
    if (!best) return say`Nothing works with this print: change what it is made with.`;
    return chosen ? `${methodName(chosen)}.` : say`Best here: ${lowerFirst(methodName(best))}.`;
  };
  return <Answer stop={chosen?.verdict === 'refused' || (record !== null && !best)}>{says()}</Answer>;
}

/** Takes the best way and goes on, in one press. */
function TakeAndGoOn({ method: { best, chosen, choose } }: { method: Method }) {
  const { piece } = useOpenPiece();
  const router = useRouter();
  if (!best || chosen) return null;
  return (
    <Button
      variant="contained"
      data-testid="take-and-go-on"
      onClick={() => {
        choose(best);
        router.push(`/piece/${piece.id}/sheet`);
      }}
    >{say`Take ${lowerFirst(wayName(best))} and go on`}</Button>
  );
}

function BoughtPart() {
  const { plan, piece } = useOpenPiece();
  if (plan.method.binder === null) return null;
  const { boughtPrice } = piece.keep;
  return (
    <Part title={say`Against a bought one`} folded={boughtPrice === null ? say`no price yet` : boughtPrice.toFixed(2)}>
      <AgainstBought at="method" />
    </Part>
  );
}

/** The whole run with this method. */
function OrderPart() {
  const { piece, plan } = useOpenPiece();
  const steps = plan.method.binder ? runSteps(piece, plan) : [];
  if (steps.length === 0) return null;
  return (
    <Part title={say`In this order`} folded={counted(steps.length, 'step', 'steps')}>
      <Steps>
        {steps.map((step) => (
          <li key={step.id}>
            <span>
              {stepTitle(step.title)} <span className={css.time}>{stepTime(step)}</span>
            </span>
          </li>
        ))}
      </Steps>
    </Part>
  );
}
