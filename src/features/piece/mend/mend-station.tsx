'use client';
import dynamic from 'next/dynamic';
import { StationCautions, StationTools } from '../station-cautions';
import { REPAIR_WORDS, counted } from '@/words';
import { sum } from '@/core/shared';
import type { Repair } from '@/core/mend';
import { runSteps } from '@/core/plan';
import { passDryAt } from '@/core/stations';
import { lightnessOf } from '@/core/colour';
import { stageOptics } from '@/core/render';
import type { RectMm } from '@/core/shape';
import { Answer, NextRow, Note, Part, TickRow, clockTime, TextButton } from '@/ui';
import { LandingDrawing } from '../drawings/landing';
import { InspectPart } from '../inspect';
import { MissingList } from '../missing-list';
import { FaultsLink } from '../faults-link';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { StepDone } from '../step-done';
import { useStepDone } from '../use-step-done';
import { MendOverlay } from './mend-overlay';
import { useEdgeColour } from './use-edge-colour';
import { useHoles } from './use-holes';
import { say } from '@/words/say';

/** What mixes colours loads when the station is open. */
const FromPhotoPart = dynamic(() => import('./from-photo-part').then((file) => file.FromPhotoPart), { ssr: false });
const LooksPart = dynamic(() => import('./looks-part').then((file) => file.LooksPart), { ssr: false });

/** A paler edge is no toner: there is nothing to match, and no rim. */
const LIGHTEST_RIM = 88;
/** A rim this share of the smaller side hides an edge, within what a sponge lays. */
const RIM = { share: 0.025, leastMm: 3, mostMm: 12 };
const rimWidth = ({ widthMm, heightMm }: RectMm): number =>
  Math.min(RIM.mostMm, Math.max(RIM.leastMm, RIM.share * Math.min(widthMm, heightMm)));

export function MendStation() {
  const { piece, plan, previewUrl, change, now } = useOpenPiece();
  const steps = useStepDone();
  const done = new Set(piece.mend.done);
  const expected = plan.mend.repairs.filter(({ when }) => when === 'expected' || when === 'chosen');
  const ifSeen = plan.mend.repairs.filter(({ when }) => when === 'if-seen' || when === 'if-liked');
  const left = expected.filter((repair) => !done.has(repair.id));
  const finished = piece.mend.finishedAt !== null;
  const firstOpen = runSteps(piece, plan).find(({ station, doneAt }) => station === 'mend' && doneAt === null);
  const dryAt = passDryAt(piece, plan);
  /** Paper is rubbed off it, so that haze and loss can be seen. */
  const read = useHoles();
  const { blank, print } = plan.surface;
  const edge = useEdgeColour(previewUrl, print?.crop ?? piece.picture.crop);
  const rim =
    edge && lightnessOf(edge) < LIGHTEST_RIM && print && plan.mend.repairs.some(({ id }) => id === 'rim')
      ? { colour: edge, widthMm: rimWidth(print.rect) }
      : null;
  const isRead = plan.method.school?.removal === 'rub' && piece.lay.laidAt !== null;
  const row = (repair: Repair) => (
    <TickRow
      key={repair.id}
      checked={done.has(repair.id)}
      onToggle={() =>
        change(
          'mend',
          {
            done: done.has(repair.id)
              ? piece.mend.done.filter((id) => id !== repair.id)
              : [...piece.mend.done, repair.id],
          },
          REPAIR_WORDS[repair.id].inText,
        )
      }
    >
      {REPAIR_WORDS[repair.id].title}
      <small>
        {REPAIR_WORDS[repair.id].how} {REPAIR_WORDS[repair.id].why}
      </small>
    </TickRow>
  );

  return (
    <StationLayout
      station="mend"
      act={
        plan.mend.repairs.length > 0 &&
        (finished ? (
          <NextRow>
            <Note>{say`Mended.`}</Note>
            <TextButton
              onClick={() => steps.revoke({ kind: 'mend', part: 'finish' }, say`mend on`)}
            >{say`Mend more`}</TextButton>
          </NextRow>
        ) : (
          <StepDone
            step={{ kind: 'mend', part: 'finish' }}
            from={firstOpen?.step ?? { kind: 'mend', part: 'finish' }}
            label={say`mended`}
            testId="mended"
          >{say`Mended: nothing more to do`}</StepDone>
        ))
      }
      answer={<Answer>{answer()}</Answer>}
      onward={<NextLink station="seal" quiet={!finished} />}
      specimen={
        <LandingDrawing
          optics={stageOptics('hazy')}
          painted={done.has('trace')}
          caption={
            read && read.holes.length > 0
              ? say`Rubbed and dry: holes by their numbers, from the last photo.`
              : say`Rubbed and dry, before the sealer.`
          }
          overlay={() =>
            blank && print ? (
              <MendOverlay
                read={finished ? null : read}
                wear={piece.mend.wear}
                glaze={piece.mend.glaze}
                rim={done.has('rim') ? rim : null}
                print={print.rect}
                blank={blank}
                groundColour={plan.surface.groundColour}
                seed={piece.surface.grain.seed}
              />
            ) : null
          }
        />
      }
    >
      {isRead && <InspectPart />}
      {read && <FromPhotoPart read={read} />}
      {expected.length > 0 && <Part title={say`Usual on this piece`}>{expected.map(row)}</Part>}
      {ifSeen.length > 0 && <Part title={say`If you see it, or like it`}>{ifSeen.map(row)}</Part>}
      {plan.mend.repairs.length > 0 && <LooksPart read={read} rim={rim} />}
      <StationTools station="mend" />
      <MissingList station="mend" />
      <StationCautions station="mend" />
      <FaultsLink />
    </StationLayout>
  );

  function answer(): string {
    if (plan.method.school?.sealsItself) return say`A tape decal is not mended: it lies under its own tape.`;
    if (plan.mend.repairs.length === 0) return say`What can be mended follows from the surface and the method.`;
    if (finished) return say`Mended.`;
    if (dryAt !== null && now < dryAt)
      return say`Let it dry until ${clockTime(dryAt, now)}: faults show only when dry.`;
    if (read?.stop) return say`More is gone than mends well: see the ways out.`;
    if (read && read.holes.length > 0)
      return say`${counted(read.holes.length, 'hole', 'holes')} to paint in, about
        ${Math.round(sum(read.holes.map(({ minutes }) => minutes)))} min of hands.`;
    if (left.length === 0) return say`Look it over once more, then seal.`;
    const first = REPAIR_WORDS[left[0]!.id].inText;
    return left.length === 1
      ? say`One thing is usual here: ${first} first.`
      : say`${left.length} things are usual here: ${first} first.`;
  }
}
