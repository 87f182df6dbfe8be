/** An arrow that turns back to the left, or on to the right. */
export function TurnBack({ on = false }: { on?: boolean }) {
  return (
    <svg
      width={18}
      height={18}
      viewBox="0 0 24 24"
      aria-hidden="true"
      transform={on ? "scale(-1 1)" : undefined}
      fill="none"
      stroke="currentColor"
      strokeWidth={2.2}
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      <path d="M9 4 L4 9 L9 14" />
      <path d="M4.5 9 H14.5 A5.5 5.5 0 0 1 14.5 20 H9" />
    </svg>
  );
}
