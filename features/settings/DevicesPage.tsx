import { Title } from '@mantine/core';
import { networkAddress, readDevices } from '@/server/network/devices';
import { CautionLine, Page } from '@/design/Page';
import { DevicesPanel } from './DevicesPanel';
import classes from './settings.module.css';

export function DevicesPage() {
  const address = networkAddress();
  return (
    <Page>
      <Title order={1} size="1.8rem" mb="md">
        Devices
      </Title>
      <div className={classes.grid}>
        <section className={classes.block}>
          <h2>Let a tablet in</h2>
          {address === null ? (
            <p>
              The program answers this machine only, as it should by default. To let tablets on the
              studio’s own network in, start it with <code>npm run demo -- --network</code> and come
              back here.
            </p>
          ) : (
            <p>
              Open <strong>{address}</strong> on the tablet, in the studio’s own network, and type
              the code that you ask for here. A code serves once and for five minutes.
            </p>
          )}
          <DevicesPanel devices={readDevices()} isOpen={address !== null} />
        </section>
        <section className={classes.block}>
          <h2>The warning about the certificate</h2>
          <p>
            The connection is encrypted with a certificate that this machine made for itself, so the
            tablet’s browser does not know it and warns once. Compare the print below with the one
            that the browser shows under “details”; when they agree, go on and the browser remembers
            it. Never go on where they differ.
          </p>
          <p>
            <code style={{ overflowWrap: 'anywhere' }}>
              {process.env.LEVITAR_CERT_PRINT ?? 'made at the first start with --network'}
            </code>
          </p>
          <p className={classes.quiet}>
            To have it trusted for good, copy <code>network-cert.pem</code> from the data folder to
            the tablet and add it to its trusted certificates; then the class also opens without a
            connection. It names this machine’s addresses only and is made anew when they change.
          </p>
        </section>
        <section className={classes.block}>
          <h2>What an assistant’s tablet sees</h2>
          <p>
            The running class: who is where with what, whose consent to hands-on help is what, holds
            and tries. No cautions, no reasons, nothing of anybody’s health, and no other screen. It
            is left out by the server, not hidden by the page.
          </p>
        </section>
      </div>
      <CautionLine />
    </Page>
  );
}
