import { ReleasedFacts } from '../release/release.ts';
import { EnteredJoint } from '../kinds/joint.ts';
import { RuleProfile } from '../rules/profile.ts';
import { JOINT_HISTORY } from './joint-history.ts';
import { defineDocument } from './document.ts';

/** A joint's fields as typed. */
export const JOINT_DOCUMENT = defineDocument(EnteredJoint, JOINT_HISTORY);
/** The schools and limits of a shop. */
export const PROFILE_DOCUMENT = defineDocument(RuleProfile, []);
/** What a release froze for driving and checking. */
export const ISSUE_DOCUMENT = defineDocument(ReleasedFacts, []);
