'use client';
import { useHotkeys } from 'react-hotkeys-hook';
import { useReport } from '@/features/shell/use-report';
import type { RecordKind } from '@/records';
import { UndoButtons } from '@/ui';
import { changeWords } from '@/words';
import { useVersions } from './use-versions';

/** Takes back what was changed last of a record of which there is one, by button or key. */
export function UndoOf({ kind }: { kind: RecordKind }) {
  const { versions, step } = useVersions(kind);
  const report = useReport();
  const run = (direction: 'undo' | 'redo') => () => {
    const next = versions?.[direction];
    if (next) void step(direction, next.mark).then(report);
  };
  useHotkeys('mod+z', run('undo'), { preventDefault: true }, [versions]);
  useHotkeys('mod+shift+z', run('redo'), { preventDefault: true }, [versions]);
  const named = (direction: 'undo' | 'redo') => {
    const next = versions?.[direction];
    return next ? changeWords(kind, next.what) : null;
  };
  return <UndoButtons undo={named('undo')} redo={named('redo')} onUndo={run('undo')} onRedo={run('redo')} />;
}
