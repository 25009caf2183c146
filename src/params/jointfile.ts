import type { ParamMatcher } from '@sveltejs/kit';
import { JOINT_FILES } from '$lib/joint-files.ts';

export const match: ParamMatcher = (text) => JOINT_FILES.some((file) => file === text);
