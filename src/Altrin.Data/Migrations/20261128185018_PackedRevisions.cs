using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Altrin.Data.Migrations
{
    /// <inheritdoc />
    public partial class PackedRevisions : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<byte[]>(
                name: "Packed",
                table: "Revisions",
                type: "BLOB",
                nullable: true);

            migrationBuilder.AddColumn<long>(
                name: "WholeId",
                table: "Revisions",
                type: "INTEGER",
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "Packed",
                table: "Revisions");

            migrationBuilder.DropColumn(
                name: "WholeId",
                table: "Revisions");
        }
    }
}
