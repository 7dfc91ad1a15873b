'use client';

import { Accordion } from '@mantine/core';
import { memo, useState } from 'react';
import type { Catalog, ProfileChanges } from '@/core/catalog/school';
import {
  withClosedStage,
  withGate,
  withPart,
  type ChangeCopy,
  type EditorChecks,
  type EditorStages,
} from './editor';
import { GateEditor } from './GateEditor';

interface ProfileGatesProps {
  readonly stages: EditorStages;
  readonly checks: EditorChecks;
  /** With the teacher's own rows: they have names, too. */
  readonly catalog: Catalog;
  readonly gates: ProfileChanges['gates'];
  readonly cues: ProfileChanges['cues'];
  readonly closedStages: ProfileChanges['closedStages'];
  readonly isShipped: boolean;
  readonly onChange: ChangeCopy;
}

/** What each stage asks for, ladder by ladder; one that is folded is not drawn. */
export const ProfileGates = memo(function ProfileGates(props: ProfileGatesProps) {
  const { stages, checks, catalog, gates, cues, closedStages, isShipped, onChange } = props;
  const [open, setOpen] = useState<string | null>(null);
  return (
    <Accordion
      variant="default"
      chevronPosition="left"
      transitionDuration={0}
      value={open}
      onChange={setOpen}
    >
      {stages.map(({ family, label, stages: list }) => (
        <Accordion.Item key={family} value={family}>
          <Accordion.Control>{label}</Accordion.Control>
          <Accordion.Panel>
            {open === family &&
              list.map((stage) => (
                <GateEditor
                  key={stage.key}
                  stage={stage}
                  isShipped={isShipped}
                  gate={gates?.[stage.key] ?? null}
                  cue={cues?.[stage.key] ?? stage.cue}
                  isClosed={closedStages?.includes(stage.key) === true}
                  checks={checks}
                  catalog={catalog}
                  onGate={(gate) => onChange((before) => withGate(before, stage.key, gate))}
                  onCue={(cue) =>
                    onChange((before) =>
                      withPart(before, 'cues', { ...before.cues, [stage.key]: cue }),
                    )
                  }
                  onClosed={(isClosed) =>
                    onChange((before) => withClosedStage(before, stage.key, isClosed))
                  }
                />
              ))}
          </Accordion.Panel>
        </Accordion.Item>
      ))}
    </Accordion>
  );
});
