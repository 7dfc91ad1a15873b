import { Page } from '@/design/Page';
import classes from '@/design/page.module.css';

export const metadata = { title: 'Not found' };

/** Leads on by a fresh page: the running class brings no links of the router along. */
export default function NoClass() {
  return (
    <Page>
      <h1 className={classes.plainTitle}>No such class</h1>
      <p>
        {/* oxlint-disable-next-line nextjs/no-html-link-for-pages -- see above */}
        This address leads to none of your classes. <a href="/floor">To the classes</a>.
      </p>
    </Page>
  );
}
