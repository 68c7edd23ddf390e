import * as S from '@urvek/study'; import { readInterchange, writeInterchange } from '@urvek/contract';
import { SLATE_SETUP, slateWalks } from './server/src/demo/slateWorks.ts';
