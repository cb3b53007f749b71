'use client';
import { stageOptics } from '@/core/render';
import { Answer, TextButton } from '@/ui';
import { sayWith } from '@/ui/say-with';
import { say } from '@/words/say';
import { LandingDrawing } from '../drawings/landing';
import { FaultsLink } from '../faults-link';
import { MissingList } from '../missing-list';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { CareLabel } from './care-label';
import { CostPart } from './cost-part';
import css from './keep.module.css';
import { FaultNotes, LastPhotoNote } from './lookback';
import { ResultPart } from './result-part';
import { useResultPhoto } from './use-result-photo';

export function KeepStation() {
  const { piece, plan } = useOpenPiece();
  const photo = useResultPhoto();
  return (
    <StationLayout
      station="keep"
      answer={<KeepAnswer />}
      specimen={
        photo.url ? (
          <figure className={css.photo}>
            <img src={photo.url} alt={say`${piece.name}, finished`} data-testid="result-photo" />
            <figcaption>{sayWith`The finished piece.
              ${(<TextButton onClick={photo.takeOut}>{say`Take the photo out`}</TextButton>)}`}</figcaption>
          </figure>
        ) : (
          <LandingDrawing
            painted
            optics={stageOptics(plan.method.sheen)}
            caption={say`As it should look. A photo of the real one takes its place.`}
          />
        )
      }
    >
      <ResultPart photo={photo} />
      <CostPart />
      <CareLabel />
      <LastPhotoNote />
      <FaultNotes />
      <MissingList station="keep" />
      <FaultsLink />
    </StationLayout>
  );
}

function KeepAnswer() {
  const { piece, plan } = useOpenPiece();
  const { lines, total } = plan.keep.cost;
  const says = (): string => {
    if (piece.keep.rating === null) return say`Keep what you learned: rate it, and note what was different.`;
    return lines.length > 0 ? say`Done and kept. It cost ${total.toFixed(2)}.` : say`Done and kept.`;
  };
  return <Answer>{says()}</Answer>;
}
