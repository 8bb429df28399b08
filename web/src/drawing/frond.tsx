/** The application's sign: a bracken frond. */
export function Frond() {
  return (
    <svg width="20" height="26" viewBox="0 0 20 26" aria-hidden="true" className="flex-none text-bracken">
      <path
        d="M10 25V2M10 20.5L2 14.5M10 20.5L18 14.5M10 15.5L3.4 10.5M10 15.5L16.6 10.5M10 10.5L5 6.7M10 10.5L15 6.7M10 6.2L7 3.9M10 6.2L13 3.9"
        fill="none"
        stroke="currentColor"
        strokeWidth="1.5"
        strokeLinecap="round"
      />
    </svg>
  );
}
