using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Altrin.Data.Migrations
{
    /// <inheritdoc />
    public partial class ReadingsArchived : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.RenameColumn(
                name: "AwayAt",
                table: "Readings",
                newName: "ArchivedAt");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.RenameColumn(
                name: "ArchivedAt",
                table: "Readings",
                newName: "AwayAt");
        }
    }
}
