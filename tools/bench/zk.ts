import { killsSurvived } from './kills'
void killsSurvived().then((f) => { console.log(JSON.stringify(f, null, 1)); process.exit(0) })
