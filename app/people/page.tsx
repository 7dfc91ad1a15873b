import { Title } from '@mantine/core';
import Link from 'next/link';
import { alternativeTable } from '@/core/catalog/alternatives';
import { getStage } from '@/core/catalog/stages';
import { formatHeight, formatLength } from '@/core/units/length';
import { readCourse } from '@/server/views';
import { CautionLine, Page } from '@/ui/layout/Page';
import { AnotherWayMark, VerdictMark, verdictWords } from '@/ui/marks/VerdictMark';
import { EmptyCourse } from '@/ui/tonight/EmptyCourse';
import classes from '@/ui/people/people.module.css';

export const metadata = { title: 'People' };

const consentWords = { yes: 'yes', ask: 'ask each time', no: 'no' } as const;

export default function PeoplePage() {
  const view = readCourse();
  if (view === null) return <EmptyCourse />;
  const { units } = view.settings;
  return (
    <Page>
      <Title order={1} size="1.8rem">
        People
      </Title>
      <p className={classes.sub}>
        {view.course.name} · judged for {getStage(view.course.stage).label.toLowerCase()}
      </p>
      <table className={classes.people}>
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Tonight</th>
            <th scope="col">Works at</th>
            <th scope="col" className={classes.number}>
              Height
            </th>
            <th scope="col" className={classes.number}>
              Elbows from wall
            </th>
            <th scope="col">Hands-on help</th>
          </tr>
        </thead>
        <tbody>
          {view.people.map(({ person, verdict, setup }) => (
            <tr key={person.id}>
              <th scope="row">
                <Link href={`/people/${person.id}`}>{person.name}</Link>
              </th>
              <td>
                <span className={classes.verdict}>
                  {verdict.alternative ? (
                    <>
                      <AnotherWayMark /> {alternativeTable[verdict.alternative].label}
                    </>
                  ) : (
                    <>
                      <VerdictMark kind={verdict.kind} /> {verdictWords[verdict.kind]}
                    </>
                  )}
                </span>
              </td>
              <td>{person.presentStage ? getStage(person.presentStage).label : 'not placed'}</td>
              <td className={classes.number}>{formatHeight(person.body.heightM, units)}</td>
              <td className={classes.number}>
                {verdict.alternative
                  ? ''
                  : `${setup.distances.base.basis === 'estimated' ? '~' : ''}${formatLength(setup.distances.base.metres, units)}`}
              </td>
              <td>{consentWords[person.consent]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <CautionLine />
    </Page>
  );
}
