'use client';

import { Kbd, Modal, Table } from '@mantine/core';
import { sayKeys, shortcuts } from './shortcuts';

/** The table of keys. */
export function Shortcuts({ onClose }: { readonly onClose: () => void }) {
  const isMac = /Mac|iPhone|iPad/.test(navigator.userAgent);
  return (
    <Modal opened onClose={onClose} title="Keys" size="lg">
      <Table>
        <Table.Tbody>
          {shortcuts.map(({ keys, does, where }) => (
            <Table.Tr key={`${keys} ${where}`}>
              <Table.Th scope="row">
                <Kbd>{sayKeys(keys, isMac)}</Kbd>
              </Table.Th>
              <Table.Td>{does}</Table.Td>
              <Table.Td>{where}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Modal>
  );
}
