import type { OneTimePassword } from '../api.gen'

/** Passwords that were just given: they are kept nowhere and shown this once. */
export const Given = ({ passwords }: { passwords: OneTimePassword[] }) =>
  passwords.length === 0 ? null : (
    <>
      <h2>One-time passwords, shown once</h2>
      <table>
        <tbody>
          {passwords.map((s) => (
            <tr key={s.who}>
              <td>{s.name}</td>
              <td>{s.who}</td>
              <td>
                <code>{s.password}</code>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  )
