/** Keys with what they do. */
export function KeyList({ keys }: { keys: [string, string][] }) {
  return (
    <dl className="keys">
      {keys.map(([key, what]) => (
        <div key={key} className="pair">
          <dt>
            <kbd>{key}</kbd>
          </dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  );
}
