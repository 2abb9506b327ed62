import { Books1795500000000 } from './0001-books.ts';
import { Columns1795800000000 } from './0002-columns.ts';
import { Elevations1796000000000 } from './0003-elevations.ts';
import { Access1796200000000 } from './0004-access.ts';
import { Arrivals1796400000000 } from './0005-arrivals.ts';
import { Checks1796500000000 } from './0006-checks.ts';
import { Samples1796600000000 } from './0007-samples.ts';
import { Pictures1796700000000 } from './0008-pictures.ts';
import { Links1796800000000 } from './0009-links.ts';
import { Uploads1796900000000 } from './0010-uploads.ts';
import { ChecksMade1797000000000 } from './0011-checks-made.ts';
import { Scouted1797100000000 } from './0012-scouted.ts';
import { SetUps1797200000000 } from './0013-set-ups.ts';
import { ResultSamples1797300000000 } from './0014-result-samples.ts';

/** In the order in which they are made. */
export const migrations = [
  Books1795500000000,
  Columns1795800000000,
  Elevations1796000000000,
  Access1796200000000,
  Arrivals1796400000000,
  Checks1796500000000,
  Samples1796600000000,
  Pictures1796700000000,
  Links1796800000000,
  Uploads1796900000000,
  ChecksMade1797000000000,
  Scouted1797100000000,
  SetUps1797200000000,
  ResultSamples1797300000000,
] as const;
