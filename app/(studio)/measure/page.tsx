import { Title } from '@mantine/core';
import type { Metadata } from 'next';
import { lengthIds, lengthTable } from '@/core/body/lengths';
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
      </p>
      <ul className={classes.lengths}>
        {lengthIds.map((id) => (
          <li key={id}>
            <LengthPicture length={id} />
            <div>
              <strong>{lengthTable[id].label}</strong>
              <p>{lengthTable[id].howTo}</p>
            </div>
          </li>
        ))}
      </ul>
      <CautionLine />
    </Page>
  );
}

export default teacherPage(MeasurePage);
