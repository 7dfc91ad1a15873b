'use client';

import { Button, PasswordInput } from '@mantine/core';

/** Everything as one sealed file; a plain form, so that a file of any size streams to the disk. */
export function SealedExport() {
  return (
    <form method="post" action="/settings/sealed" style={{ marginTop: 14 }}>
      <PasswordInput
        name="passphrase"
        label="Or sealed with a passphrase"
        description="At least ten signs. Without it nobody opens the file."
        minLength={10}
        required
        autoComplete="new-password"
      />
      <Button type="submit" variant="default" mt="sm">
        Hand out sealed
      </Button>
    </form>
  );
}
