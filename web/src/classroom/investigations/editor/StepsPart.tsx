import type { MethodStep } from '@green-beam/core';
import { List, Text, Whole } from './bound';

export function StepsPart() {
  return (
    <List<MethodStep> name="steps" copied={(step) => step} title="Method" one="step" blank={{ text: '' }}>
      {(_, step) => (
        <div className="grid gap-3 sm:grid-cols-2">
          <Text name={`${step}.text`} label="What is done" long className="sm:col-span-2" />
          <Text name={`${step}.precaution`} label="Precaution: which error it prevents" optional />
          <Text name={`${step}.caution`} label="Caution: what protects people" optional />
          <Whole name={`${step}.waitMinutes`} label="Minutes of waiting" />
        </div>
      )}
    </List>
  );
}
