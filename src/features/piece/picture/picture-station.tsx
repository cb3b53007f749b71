'use client';
import { useCallback, useState } from 'react';
import type { FindingId } from '@/core/findings';
import { letteringOf } from '@/core/stations';
import { useTaker } from '@/features/intake';
import type { StoredPicture } from '@/records';
import { Because, Note, useUnits } from '@/ui';
import { sayWith } from '@/ui/say-with';
import { sentences } from '@/words';
import { say } from '@/words/say';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationCautions } from '../station-cautions';
import { StationLayout } from '../station-layout';
import { useFindings } from '../use-analysis';
import { useTakePicture } from '../use-take-picture';
import { FindingsList } from './findings-list';
import { LayersPanel } from './layers-panel';
import { LetteringQuestion } from './lettering-question';
import { PictureAnswer } from './picture-answer';
import { PictureFields } from './picture-fields';
import { pictureReasons } from './picture-reasons';
import { PictureSpecimen, type PictureView } from './picture-specimen';
import { TonePanel } from './tone-panel';

export function PictureStation() {
  const { piece, plan, picture, change } = useOpenPiece();
  const units = useUnits();
  const [view, setView] = useState<PictureView>('crop');
  const [shownId, setShownId] = useState<FindingId | null>(null);
  const keep = useCallback(
    (taken: StoredPicture) => {
      change('picture', { pictureId: taken.id }, say`picture “${taken.name}”`, [taken]);
    },
    [change],
  );
  const taking = useTakePicture(keep);
  useTaker(say`it becomes the picture of this piece`, taking.take);
  const found = useFindings();
  const finding = found.findings.find(({ id }) => id === shownId);
  const { blank, look } = plan.surface;
  const toPiece = useCallback(() => {
    if (blank && look) setView('piece');
  }, [blank, look]);
  const show = (id: FindingId | null) => {
    setShownId(id);
    if (id) setView('crop');
  };
  const lettering = letteringOf(piece);
  return (
    <StationLayout
      station="picture"
      answer={<PictureAnswer worst={found.findings[0]} />}
      act={
        picture &&
        lettering === null && (
          <LetteringQuestion
            value={null}
            looksLettered={picture.reads}
            onCommit={(answer) => change('picture', { lettering: answer }, say`lettering`)}
          />
        )
      }
      onward={<NextLink station="surface" quiet={!picture || lettering === null} />}
      specimen={
        <PictureSpecimen
          view={view}
          onView={setView}
          taking={taking}
          shown={finding && found.analysis ? { finding, analysis: found.analysis } : null}
        />
      }
    >
      {piece.picture.pictureId === null && (
        <Note>
          {sentences(
            say`A photo, drawing or scan as JPEG, PNG or WebP.`,
            say`It stays in this browser: nothing is sent anywhere.`,
            say`Never use an original: Fobbet prints a copy.`,
          )}
        </Note>
      )}
      <Because reasons={pictureReasons(picture, plan, units)} />
      {picture && <FindingsList found={found} shownId={shownId} onShow={show} />}
      <PictureFields taking={taking} />
      {picture && <TonePanel onTouch={toPiece} />}
      {picture && <LayersPanel onTouch={toPiece} />}
      {lettering === 'yes' && (
        <Note>{sayWith`Lettering: the sheet is printed mirrored so that it reads true on the piece. Turn the
          specimen with ${(<kbd>M</kbd>)} to see both.`}</Note>
      )}
      <MissingList station="picture" />
      <StationCautions station="picture" />
    </StationLayout>
  );
}
