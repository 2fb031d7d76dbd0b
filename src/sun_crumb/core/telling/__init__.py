"""Words for amounts that stand: reasons, what could not be had, advice, consequences. Changes no gram."""
