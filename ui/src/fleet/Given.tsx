import { Table } from '@mantine/core'
import type { OneTimePassword } from '../api.gen'

/** Passwords that were just given: they are kept nowhere and shown this once. */
export const Given = ({ passwords }: { passwords: OneTimePassword[] }) =>
  passwords.length === 0 ? null : (
    <>
      <h2>One-time passwords, shown once</h2>
      <Table>
        <Table.Tbody>
          {passwords.map((s) => (
            <Table.Tr key={s.who}>
              <Table.Td>{s.name}</Table.Td>
              <Table.Td>{s.who}</Table.Td>
              <Table.Td>
                <code>{s.password}</code>
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </>
  )
