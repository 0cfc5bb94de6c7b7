import type { ComponentProps } from 'react';
import { type ButtonLook, type ButtonSize, buttonClass } from './button-class';

type Props = ComponentProps<'button'> & {
  readonly look?: ButtonLook;
  readonly size?: ButtonSize;
};

export function Button({ look = 'plain', size = 'normal', className = '', type = 'button', ...rest }: Props) {
  return <button type={type} className={`${buttonClass(look, size)} ${className}`} {...rest} />;
}
