export { InstallSetting } from './InstallSetting';
export { NewVersionLine } from './NewVersionLine';
