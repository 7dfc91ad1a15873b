'use client';

import { memo } from 'react';
import { courseLines } from './courseLines';
import classes from './clip.module.css';

/** Which line is which. */
export const CourseLegend = memo(function CourseLegend() {
  return (
    <p className={classes.legend}>
      <span>cm:</span>
      {courseLines.map(({ key, label, stroke, dash }) => (
        <span key={key}>
          <svg width="26" height="8" aria-hidden="true">
            <line
              x1="0"
              y1="4"
              x2="26"
              y2="4"
              stroke={stroke}
              strokeWidth="3"
              strokeDasharray={dash}
            />
          </svg>{' '}
          {label}
        </span>
      ))}
    </p>
  );
});
