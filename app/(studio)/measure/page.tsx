import { Title } from '@mantine/core';
import type { Metadata } from 'next';
import { takenIds, takenTable } from '@/core/body/taken';
import { CautionLine, Page } from '@/design/Page';
import { LengthPicture } from '@/features/measure/LengthPicture';
import classes from '@/features/measure/measure.module.css';
import { teacherPage } from '@/server/network/guarded';

export const metadata: Metadata = { title: 'Measuring guide' };

function MeasurePage() {
  return (
    <Page>
      <Title order={1} size="1.8rem">
        Measuring with a wall and a tape
      </Title>
      <p>
        Any one of these makes the distances surer; the bench and each person’s page name the four
        that settle most for the set-up at hand. Shoes off, tape straight, to the half centimetre.
        The three measured all round are nobody’s duty: they give hands, elbows, feet and folds
        room.
      </p>
      <ul className={classes.lengths}>
        {takenIds.map((id) => (
          <li key={id}>
            <LengthPicture length={id} />
            <div>
              <strong>{takenTable[id].label}</strong>
              <p>{takenTable[id].howTo}</p>
            </div>
          </li>
        ))}
      </ul>
      <CautionLine />
    </Page>
  );
}

export default teacherPage(MeasurePage);
