import type { SVGProps } from 'react';

interface Props extends SVGProps<SVGSVGElement> {
  readonly size?: number | string;
}

/** A sign of lines, in the colour of the letters around it. */
export const sign = (lines: readonly string[]) =>
  function Sign({ size = 24, ...rest }: Props) {
    return (
      <svg
        width={size}
        height={size}
        viewBox="0 0 24 24"
        fill="none"
        stroke="currentColor"
        strokeWidth={2}
        strokeLinecap="round"
        strokeLinejoin="round"
        {...rest}
      >
        {lines.map((d) => (
          <path key={d} d={d} />
        ))}
      </svg>
    );
  };
