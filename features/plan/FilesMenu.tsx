'use client';

import { answered } from '@/design/answered';
import type { DrillBook } from '@/core/catalog/drills';
import type { PreparedClass } from '@/core/compose/prepared';
import { Button, Menu } from '@mantine/core';
import { IconChevronDown } from '@tabler/icons-react';
import { takeFileAction } from './actions';
import type { PlanFile } from '@/core/files/planFile';
import type { LengthUnits } from '@/core/units/length';
import type { Taken } from './change';
import type { ClassMember } from '@/server/judging/classViews';
import { FileChoice } from '@/design/FileChoice';
import { showProblems } from '@/design/notices';
import { saveFile } from '@/design/saveFile';
import { markdown } from './later';

interface FilesMenuProps {
  readonly courseId: number | null;
  readonly plan: PlanFile | null;
  readonly members: readonly ClassMember[];
  readonly heading: string;
  readonly startsAt: string;
  readonly people: PreparedClass['people'];
  readonly drills: DrillBook;
  readonly units: LengthUnits;
  readonly onTaken: (taken: Taken) => void;
}

/** The plan and the class as files, out and in. */
export function FilesMenu(props: FilesMenuProps) {
  const { courseId, plan, members, people, drills, heading, startsAt, units, onTaken } = props;
  const names = new Map(members.map(({ id, name }) => [id, name]));
  const take = async (file: File) => {
    const outcome = await answered(takeFileAction(await file.text()));
    if (outcome.ok) onTaken(outcome.value);
    else showProblems(outcome.problems);
  };
  const saveText = async () => {
    if (plan === null) return;
    const writeMarkdown = await markdown();
    const nameOf = (id: string) => names.get(id) ?? id;
    saveFile(
      'plan.md',
      'text/markdown',
      writeMarkdown(plan, { heading, startsAt, nameOf, people, drills, units }),
    );
  };
  return (
    <FileChoice onFile={(file) => void take(file)} accept="application/json,.json">
      {({ onClick }) => (
        <Menu position="bottom-end" withArrow>
          <Menu.Target>
            <Button variant="default" rightSection={<IconChevronDown size={16} />}>
              Files
            </Button>
          </Menu.Target>
          <Menu.Dropdown>
            <Menu.Item
              disabled={plan === null}
              onClick={() =>
                plan &&
                saveFile('plan.json', 'application/json', `${JSON.stringify(plan, null, 2)}\n`)
              }
            >
              Plan as JSON
            </Menu.Item>
            <Menu.Item disabled={plan === null} onClick={() => void saveText()}>
              Plan as Markdown
            </Menu.Item>
            {courseId !== null && (
              <Menu.Item
                component="a"
                href={`/plan/class?course=${courseId}`}
                download="class.json"
              >
                Class as JSON (holds health notes)
              </Menu.Item>
            )}
            <Menu.Divider />
            <Menu.Item onClick={onClick}>Open a class or a plan</Menu.Item>
          </Menu.Dropdown>
        </Menu>
      )}
    </FileChoice>
  );
}
