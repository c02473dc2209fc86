import type { Point } from '@green-beam/core';
import { createContext } from 'react';

/** The part of the drawing that the page points the reader to; null when to none. */
export const PointedAt = createContext<Point | null>(null);
