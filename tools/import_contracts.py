"""A contract for import-linter: packages may import nothing from outside but what is on their list."""

from __future__ import annotations

from grimp import ImportGraph
from importlinter import Contract, ContractCheck, fields, output


class AllowedContract(Contract):
    """Fails where a module imports something external, of the standard library too, that is not allowed.

    A list of what is forbidden says nothing of what nobody thought of.
    """

    source_modules = fields.ListField(subfield=fields.ModuleField())
    allowed = fields.SetField(subfield=fields.StringField())

    def check(self, graph: ImportGraph, verbose: bool) -> ContractCheck:
        """Return whether every external import is allowed."""
        wrong = []
        for source in self.source_modules:
            for module in sorted({source.name, *graph.find_descendants(source.name)}):
                for imported in sorted(graph.find_modules_directly_imported_by(module)):
                    top = imported.split(".")[0]
                    if top != "sun_crumb" and top not in self.allowed:
                        wrong.append(f"{module} -> {imported}")
        return ContractCheck(kept=not wrong, metadata={"wrong": wrong})

    def render_broken_contract(self, check: ContractCheck) -> None:
        """Print the imports that are not allowed."""
        for line in check.metadata["wrong"]:
            output.print_error(line)
